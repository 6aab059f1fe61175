import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { RectifierElement, Winding } from '../../model/elements';
import type { BoardFacts } from './boardFacts';
import type { Driven } from './drive';
import { endsOf, reaches } from './near';
import { SMOOTHING_CHOKE_ABOVE } from './partsList';
import type { FarPart, RailFacts } from './railFacts';
import type { FactSheet } from './sheet';

/** A capacitor is a store from here on, and the store of an output from the other on. */
const STORE = practice({ farads: 4e-7, output: 1.2e-4, primaryVolts: 160 });
/** A resistor across a sensing winding is no larger: behind its diode, and straight across. */
const BURDEN_OHMS = practice({ behindDiode: 330, across: 1000 });
/** How much a rectifier says, by what it is: a Schottky, a dual diode or a FET is there for power. */
const POWER_RECTIFIER = 1;
const PLAIN_RECTIFIER = 0.7;
/** Windings that feed a chip, the primary's side, or a small store say less of the output. */
const LESS = { chip: 0.25, primarySide: 0.2, smallStore: 0.5 } as const;

/** A rectifier at the end of a winding, and the rail behind it. */
interface Leg {
  readonly far: number;
  readonly part: BoardPart;
  readonly isFet: boolean;
}

/** Collects the facts of how the windings that are not driven give their power away. */
export function outputFacts(
  board: BoardFacts,
  anchor: BoardPart,
  own: readonly Winding[],
  driven: Driven,
  sheet: FactSheet,
): void {
  let rectifiedEnds = 0;
  const free = own.filter((winding) => !driven.windings.has(winding));
  if (driven.switches.size === 0 && free.some((winding) => isChokeWinding(board, anchor, winding))) {
    sheet.raise('winding used as output choke', 1);
    return;
  }
  for (const winding of free) {
    const ends = [...new Set(winding.rails)].filter((rail) => rail >= 0);
    const meets = new Map<number, Set<number>>();
    for (const a of ends) {
      const here = board.rails[a];
      if (!here || here.mains || here.input) continue;
      const others = ends.filter((rail) => rail !== a);
      if (here.bridgeAc)
        sheet.raise(
          others.some((rail) => board.rails[rail]?.bridgeAc) ? 'bridge on winding' : 'bridge on winding end',
          1,
        );
      const legs = legsOf(board, here, driven);
      if (legs.length > 0) rectifiedEnds += 1;
      for (const leg of legs) {
        if (ends.includes(leg.far)) continue;
        const isOutput = legFacts({ board, anchor, driven, free, a, others, leg }, sheet);
        if (isOutput) meets.set(leg.far, (meets.get(leg.far) ?? new Set()).add(a));
      }
      burdenFacts(board, here, legs, ends, sheet);
      if (here.chokes.length > 0 && here.stores.length === 0 && legs.length > 0)
        sheet.raise('choke and rectifier at end', 1, ...here.chokes.map(({ part }) => part));
    }
    if ([...meets.values()].some((from) => from.size >= 2)) sheet.raise('full-wave', 1);
    if (rectifiedEnds >= 2 && winding.rails.slice(1, -1).some((rail) => board.rails[rail]?.still))
      sheet.raise('full-wave', 0.7);
  }
  if (rectifiedEnds > 0) sheet.raise('winding rectified', 1);
}

/**
 * Whether one end of a winding lies where a rectifier from another transformer and a freewheel diode meet, and the other
 * where a choke would lead: it is one winding of coupled output chokes.
 */
function isChokeWinding({ rails }: BoardFacts, anchor: BoardPart, winding: Winding): boolean {
  const [a, b] = endsOf(winding);
  return [
    [a, b],
    [b, a],
  ].some(([near = -1, far = -1]) => {
    const [here, there] = [rails[near], rails[far]];
    if (!here || here.still || !there?.still) return false;
    const legs = here.in.length > 0 ? here.in : here.out;
    const isOneWay = here.in.length === 0 || here.out.length === 0;
    const isFromTransformer = legs.some(({ far: behind }) =>
      rails[behind]?.windings.some(({ part }) => part !== anchor && part.kind === 'transformer'),
    );
    return isOneWay && legs.length >= 2 && isFromTransformer;
  });
}

/** Diodes at a rail, and FETs that are likelier rectifiers than power switches. */
function legsOf({ primary }: BoardFacts, here: RailFacts, { switches }: Driven): readonly Leg[] {
  const mayRectify = ({ part }: { part: BoardPart }) => !switches.has(part) && part.kind !== 'npn';
  return [
    ...[...here.out, ...here.in]
      .filter(({ element }) => element.part.kind !== 'bridge' || here.bridgeAc)
      .map(({ element, far }) => ({ far, part: element.part, isFet: false })),
    ...here.upper
      .filter((element) => mayRectify(element) && primary(element) < 0.7 && element.lo >= 0)
      .map(({ lo, part }) => ({ far: lo, part, isFet: true })),
    ...here.lower
      .filter((element) => mayRectify(element) && primary(element) < 0.7 && element.hi >= 0)
      .map(({ hi, part }) => ({ far: hi, part, isFet: true })),
  ];
}

interface LegContext {
  readonly board: BoardFacts;
  readonly anchor: BoardPart;
  readonly driven: Driven;
  readonly free: readonly Winding[];
  readonly a: number;
  readonly others: readonly number[];
  readonly leg: Leg;
}

/** What lies behind one rectifier; whether it gives power to an output. */
function legFacts(context: LegContext, sheet: FactSheet): boolean {
  const { board, anchor, others, leg } = context;
  const { rails } = board;
  const behind = rails[leg.far];
  if (!behind) return false;
  const { part, isFet } = leg;
  const isLarge = ({ part: { value } }: FarPart, assumed: number) => (value?.capacitance ?? assumed) >= STORE.farads;
  const stores: FarPart[] = [
    ...behind.stores.filter((store) => isLarge(store, 1e-5)),
    ...behind.capacitors.filter((capacitor) => isLarge(capacitor, 0)),
  ];
  const isPrimaryStore = stores.some(({ part: { value } }) => (value?.voltage ?? 0) >= STORE.primaryVolts);
  if (behind.side > 0 && board.isMains && isPrimaryStore) {
    const isBack = others.some((rail) => rails[rail]?.still && (rails[rail]?.side ?? 0) > 0);
    sheet.raise('reset winding', isBack ? 1 : 0.4, part);
    return false;
  }
  const returns = [...behind.capacitors, ...behind.resistors].some(
    ({ far }) => others.includes(far) || (rails[far]?.side ?? 0) > 0,
  );
  if (!behind.still && returns && behind.chokes.length === 0 && stores.length === 0) {
    sheet.raise('clamp diode', 1, part);
    return false;
  }
  const returnsToInput = others.some((rail) =>
    isGiven(behind) ? isInputSide(rails[rail]) : isInputSide(behind) && isGiven(rails[rail]),
  );
  if (returnsToInput) sheet.raise('output returns to the input', 1, part);
  const weight = weightOf(behind, stores, leg);
  const isFreewheeling = freewheels(context, behind) > 0;
  const hasChoke = behind.chokes.length > 0 || behind.windings.some((one) => one.part !== anchor);
  const chokes = behind.chokes.map((one) => one.part);
  if (stores.length === 0) {
    if (isFreewheeling)
      sheet.raise(hasChoke ? 'freewheel before choke' : 'freewheel, choke open', weight, part, ...chokes);
    else if (hasChoke) sheet.raise('rectifier to choke', weight, part, ...chokes);
    if (chokes.length > 0) {
      const henries = Math.max(...chokes.map(({ value }) => value?.inductance ?? -1));
      if (henries > SMOOTHING_CHOKE_ABOVE) sheet.raise('rectifier to large choke', weight, part, ...chokes);
      else if (henries >= 0) sheet.raise('rectifier to small choke', weight, part, ...chokes);
    }
    if (behind.output) sheet.raise('rectifier to store', 0.5, part);
    else if (hasChoke && noStoreLeft(board, leg.far)) sheet.raise('no store at rectifier', weight, part, ...chokes);
  } else if (isFreewheeling) sheet.raise('rectifier to store', 0.5 * weight, part);
  else
    sheet.raise(
      reaches(stores, others) ? 'rectifier to store and back' : 'rectifier to store',
      weight,
      part,
      ...stores.map((store) => store.part),
    );
  const inReturn = others.flatMap((rail) => rails[rail]?.stores.filter(({ far }) => far === leg.far) ?? []);
  if (inReturn.length > 0 && !isFreewheeling)
    sheet.raise('rectifier to store and back', weight, part, ...inReturn.map((store) => store.part));
  const atTap = others.flatMap((rail) => (rails[rail]?.stores.length === 0 ? (rails[rail]?.chokes ?? []) : []));
  if (atTap.length > 0 && (behind.still || isFet))
    sheet.raise('choke at the tap', weight, ...atTap.map((one) => one.part));
  return true;
}

const isInputSide = (facts: RailFacts | undefined): boolean => facts !== undefined && (facts.input || facts.side > 0);
/** A rail of an output that is none of the input. */
const isGiven = (facts: RailFacts | undefined): boolean => facts !== undefined && facts.output && !isInputSide(facts);

/** Whether every store of the board is known not to be on a rail. */
export function noStoreLeft({ model }: BoardFacts, rail: number): boolean {
  const { elements, rails } = model;
  return elements.capacitors
    .filter(({ polarised }) => polarised)
    .every(({ a, b }) => rails.relation(rail, a) === 'separate' && rails.relation(rail, b) !== 'joined');
}

function weightOf(behind: RailFacts, stores: readonly FarPart[], { part, isFet }: Leg): number {
  const quality =
    part.subtype === 'schottky' || part.kind === 'dual-diode' || isFet ? POWER_RECTIFIER : PLAIN_RECTIFIER;
  if (behind.output) return quality;
  const feedsChip = behind.chips.some(
    ({ part: chip }) => !['unknown', 'sync-rectifier', 'microcontroller', undefined].includes(chip.subtype),
  );
  if (feedsChip) return LESS.chip;
  if (behind.side > 0) return LESS.primarySide;
  const isSmall = stores.length > 0 && stores.every((store) => (store.part.value?.capacitance ?? 1e-3) < STORE.output);
  return isSmall ? LESS.smallStore * quality : quality;
}

/** Rectifiers of the same sense at the rail behind a rectifier, from where current can flow on while the winding gives none. */
function freewheels({ board, driven, free, a, others, leg }: LegContext, behind: RailFacts): number {
  const { rails, primary } = board;
  const isEntered = behind.in.some(({ element, far }) => element.part === leg.part && far === a);
  const same = leg.isFet ? [...behind.out, ...behind.in] : isEntered ? behind.in : behind.out;
  const farOf = (element: RectifierElement) => (element.from === leg.far ? element.to : element.from);
  const diodes = same.filter(({ element }) => {
    if (element.part === leg.part && leg.part.kind !== 'dual-diode') return false;
    const far = farOf(element);
    if (far === a) return false;
    if (others.includes(far)) return true;
    return !free.some((winding) => winding.rails.includes(far)) && (rails[far]?.still ?? false);
  });
  const fets = [...behind.upper, ...behind.lower].filter(
    (element) => element.part !== leg.part && !driven.switches.has(element.part) && primary(element) < 0.7,
  );
  return diodes.length + fets.length;
}

function burdenFacts(
  { rails }: BoardFacts,
  here: RailFacts,
  legs: readonly Leg[],
  ends: readonly number[],
  sheet: FactSheet,
): void {
  const small = (most: number) => (resistor: FarPart) =>
    ends.includes(resistor.far) && (resistor.part.value?.resistance ?? 1e6) <= most;
  const across = here.resistors.filter(small(BURDEN_OHMS.across));
  const behind = legs.flatMap(({ far }) => {
    const rail = rails[far];
    return rail && rail.stores.length === 0 ? rail.resistors.filter(small(BURDEN_OHMS.behindDiode)) : [];
  });
  if (across.length + behind.length > 0)
    sheet.raise('burden at winding', 1, ...[...across, ...behind].map(({ part }) => part));
}
