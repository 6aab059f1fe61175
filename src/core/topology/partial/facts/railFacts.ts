import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { Model } from '../../model';
import type { RectifierElement, SwitchElement } from '../../model/elements';
import { isLamp, isOutlet } from '../../model/parts';
import { bridgeEnds } from '../../model/rails';

/** A two-terminal part on a rail, and the rail of its other end. */
export interface FarPart {
  readonly part: BoardPart;
  readonly far: number;
}

/** A diode's worth of a part at a rail, and the rail of its other end. */
export interface FarRectifier {
  readonly element: RectifierElement;
  readonly far: number;
}

/** What is known to lie on a rail. That something is not on it means nothing unless the rail is closed. */
export interface RailFacts {
  /** Whether more than one pin is known to be on it. */
  known: boolean;
  /** Switches with their upper end here, and with their lower end. */
  readonly upper: SwitchElement[];
  readonly lower: SwitchElement[];
  readonly gates: SwitchElement[];
  readonly chips: { readonly part: BoardPart; readonly pin: string }[];
  /** Diodes with their anode here, and with their cathode. */
  readonly out: FarRectifier[];
  readonly in: FarRectifier[];
  readonly stores: (FarPart & { readonly plus: boolean })[];
  readonly capacitors: FarPart[];
  readonly chokes: FarPart[];
  readonly windings: FarPart[];
  readonly resistors: FarPart[];
  bridgeDc: boolean;
  bridgeAc: boolean;
  output: boolean;
  input: boolean;
  mains: boolean;
  lamp: boolean;
  thyristor: boolean;
  /** 1 on the side of the mains or the input, −1 on the side of the outputs, 0 where it is not known. */
  side: -1 | 0 | 1;
  /** Whether it stands still over a switching period. */
  still: boolean;
}

/** Stores of a mains primary stand between these voltages; on the output side below the last, and large. */
export const PRIMARY_STORE = practice({ from: 160, to: 500, outputsBelow: 120 });
const OUTPUT_STORE = practice({ voltsAtMost: 100, faradsAtLeast: 1.5e-4 });
/** A store of a floating supply is no larger. */
const FLOATING_STORE_AT_MOST = practice(4.7e-5);

const emptyRail = (): RailFacts => ({
  known: false,
  upper: [],
  lower: [],
  gates: [],
  chips: [],
  out: [],
  in: [],
  stores: [],
  capacitors: [],
  chokes: [],
  windings: [],
  resistors: [],
  bridgeDc: false,
  bridgeAc: false,
  output: false,
  input: false,
  mains: false,
  lamp: false,
  thyristor: false,
  side: 0,
  still: false,
});

/** What lies on every rail of a board, in the order of the rails. */
export function railFactsOf(model: Model, isMains: boolean): readonly RailFacts[] {
  const { board, rails, elements, held } = model;
  const all = Array.from({ length: rails.count }, emptyRail);
  const at = (rail: number) => all[rail];
  for (const element of elements.switches) {
    at(element.hi)?.upper.push(element);
    at(element.lo)?.lower.push(element);
    at(element.gate)?.gates.push(element);
  }
  for (const element of elements.rectifiers) {
    if (element.isBody) continue;
    at(element.from)?.out.push({ element, far: element.to });
    at(element.to)?.in.push({ element, far: element.from });
  }
  for (const { part, a, b, polarised } of elements.capacitors) {
    if (polarised) {
      at(a)?.stores.push({ part, far: b, plus: '+' in part.pins });
      at(b)?.stores.push({ part, far: a, plus: false });
    } else if (part.subtype !== 'x' && part.subtype !== 'y') {
      at(a)?.capacitors.push({ part, far: b });
      at(b)?.capacitors.push({ part, far: a });
    }
  }
  for (const { part, a, b } of elements.inductive) {
    const list = part.kind === 'inductor' ? 'chokes' : 'windings';
    at(a)?.[list].push({ part, far: b });
    at(b)?.[list].push({ part, far: a });
  }
  for (const part of board.parts) if (part.fitted !== false) placePins(part, model, all);
  all.forEach((facts, rail) => {
    facts.known = rails.on(rail).length > 1;
    facts.input ||= held.input.has(rail);
    facts.mains = held.mains.has(rail);
  });
  const bridged = bridgedMains(model, all);
  all.forEach((facts, rail) => {
    const floats = isFloating(facts);
    facts.still =
      (facts.stores.length > 0 && !floats) ||
      facts.bridgeDc ||
      facts.output ||
      facts.input ||
      (held.isHeld(rail) && !floats);
    facts.side = sideOf(rail, facts, model, isMains, bridged);
  });
  return all;
}

function placePins(part: BoardPart, { rails }: Model, all: readonly RailFacts[]): void {
  for (const pin of Object.keys(part.pins)) {
    const facts = all[rails.at(part, pin)];
    if (!facts) continue;
    if (part.kind === 'ic') facts.chips.push({ part, pin });
    else if (part.kind === 'bridge') facts[pin === '+' || pin === '-' ? 'bridgeDc' : 'bridgeAc'] = true;
    else if (part.kind === 'scr') facts.thyristor = true;
    else if (part.kind === 'connector') {
      if (isOutlet(part)) facts.output = true;
      if (isLamp(part)) facts.lamp = true;
      if (part.role === 'dc-input') facts.input = true;
    } else if (part.kind === 'resistor' && !rails.isPass(part)) {
      const other = Object.keys(part.pins).find((name) => name !== pin);
      if (other !== undefined) facts.resistors.push({ part, far: rails.at(part, other) });
    }
  }
}

/** Both sides of bridges that rectify the mains and no winding. */
function bridgedMains({ board, rails }: Model, all: readonly RailFacts[]): ReadonlySet<number> {
  const found = new Set<number>();
  for (const part of board.parts) {
    if (part.kind !== 'bridge') continue;
    const onWinding = bridgeEnds(part, rails).some((rail) => (all[rail]?.windings.length ?? 0) > 0);
    if (!onWinding) for (const pin of ['+', '-']) found.add(rails.at(part, pin));
  }
  return found;
}

/** The minus of a small store that meets a choke, and nothing that holds it: it may be a floating supply. */
export const mayFloat = (facts: RailFacts): boolean =>
  facts.chokes.length + facts.windings.length > 0 &&
  !facts.bridgeDc &&
  !facts.input &&
  !facts.output &&
  facts.stores.length > 0 &&
  facts.stores.every(({ part, plus }) => !plus && (part.value?.capacitance ?? 1e-5) <= FLOATING_STORE_AT_MOST);

/** One with a cathode on it is a floating supply, which swings with its point. */
const isFloating = (facts: RailFacts): boolean =>
  mayFloat(facts) && facts.in.some(({ element: { part } }) => part.kind === 'diode' && part.subtype !== 'rectifier');

function sideOf(
  rail: number,
  facts: RailFacts,
  { held, board }: Model,
  isMains: boolean,
  bridged: ReadonlySet<number>,
): -1 | 0 | 1 {
  if (facts.mains || facts.input || (held.rectified.has(rail) && isMains && held.lineSecondary.size === 0)) return 1;
  if (isMains && bridged.has(rail)) return 1;
  const outputsAreLow = (board.nameplate?.outputs ?? []).every(({ v }) => Math.abs(v) < PRIMARY_STORE.outputsBelow);
  const isPrimaryStore = ({ part: { value } }: FarPart) =>
    (value?.voltage ?? 0) >= PRIMARY_STORE.from && (value?.voltage ?? 0) <= PRIMARY_STORE.to;
  if (isMains && outputsAreLow && facts.stores.some(isPrimaryStore)) return 1;
  if (facts.output) return -1;
  const isOutputStore = ({ part: { value } }: FarPart) =>
    (value?.voltage ?? Infinity) <= OUTPUT_STORE.voltsAtMost && (value?.capacitance ?? 0) >= OUTPUT_STORE.faradsAtLeast;
  return isMains && facts.stores.some(isOutputStore) ? -1 : 0;
}
