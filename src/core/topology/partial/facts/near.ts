import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { SwitchElement, Winding } from '../../model/elements';
import type { BoardFacts } from './boardFacts';
import type { FarPart } from './railFacts';

/** A part at a rail that may switch it: a transistor's upper or lower end, or a chip with a switch inside. */
export interface EndSwitch {
  readonly part: BoardPart;
  readonly end: 'upper' | 'lower' | 'chip';
  /** How likely it is a power switch. */
  readonly share: number;
  /** Rail of its other end; −1 for a chip. */
  readonly far: number;
  readonly element?: SwitchElement;
}

/** How likely a chip's pin is that of its switch, by what the chip is and how the pin is called. */
const CHIP_SWITCH = practice({
  switcher: { named: 0.95, other: 0.03, unnamed: 0.7 },
  unknown: { named: 0.9, other: 0.05, unnamed: 0.45 },
  any: { named: 0.5, unnamed: 0.05 },
  besideTransistor: 0.03,
  crowded: 0.5,
});
const SWITCH_PIN = /DRAIN|^D$|^SW|LX|HV?D|COLL|^C$|^PH|OUT/i;
const OTHER_PIN = /VCC|VDD|FB|GND|CS|GATE|COMP|VS|ZCD|DEM|HB|BOOT|AUX|MULT/i;
const NEVER_A_SWITCH: ReadonlySet<string> = new Set(['sync-rectifier', 'microcontroller', 'opamp', 'comparator']);

/** What may switch a rail, apart from the part itself. */
export function switchesAt({ rails, primary }: BoardFacts, rail: number, anchor: BoardPart): readonly EndSwitch[] {
  const facts = rails[rail];
  if (!facts) return [];
  const isMine = ({ part }: SwitchElement) => part !== anchor && part.kind !== 'scr';
  const transistors: EndSwitch[] = [
    ...facts.upper
      .filter(isMine)
      .map(
        (element) => ({ part: element.part, end: 'upper', share: primary(element), far: element.lo, element }) as const,
      ),
    ...facts.lower
      .filter(isMine)
      .map(
        (element) => ({ part: element.part, end: 'lower', share: primary(element), far: element.hi, element }) as const,
      ),
  ];
  if (facts.still || facts.gates.length > 0) return transistors;
  const chips = facts.chips.flatMap(({ part, pin }): EndSwitch[] => {
    const subtype = part.subtype ?? 'unknown';
    if (NEVER_A_SWITCH.has(subtype)) return [];
    const name = part.pinNames?.[pin] ?? '';
    const isNamed = SWITCH_PIN.test(name);
    const row = subtype === 'switcher' || subtype === 'unknown' ? CHIP_SWITCH[subtype] : undefined;
    let share = row
      ? isNamed
        ? row.named
        : OTHER_PIN.test(name)
          ? row.other
          : row.unnamed
      : isNamed && !/OUT/i.test(name)
        ? CHIP_SWITCH.any.named
        : CHIP_SWITCH.any.unnamed;
    if (facts.resistors.length > 2) share *= CHIP_SWITCH.crowded;
    if (transistors.length > 0 && subtype !== 'switcher') share = CHIP_SWITCH.besideTransistor;
    return share > 0.02 ? [{ part, end: 'chip', share, far: -1 }] : [];
  });
  return [...transistors, ...chips];
}

/** A rail reached over series parts, and by which. */
export interface SeriesRail {
  readonly rail: number;
  readonly depth: number;
  readonly capacitor?: BoardPart;
  readonly inductance?: BoardPart;
}

const SERIES_DEPTH = 3;
const SERIES_FARADS_AT_LEAST = practice(1e-9);

/** Rails a few series capacitors, chokes and windings of other transformers away, this one first. Rails that stand still end the way. */
export function seriesOf({ rails }: BoardFacts, rail: number, anchor: BoardPart): readonly SeriesRail[] {
  const seen = new Map<number, SeriesRail>([[rail, { rail, depth: 0 }]]);
  for (const here of seen.values()) {
    const facts = rails[here.rail];
    if (!facts || here.depth >= SERIES_DEPTH || (here.depth > 0 && facts.still)) continue;
    const reach = (far: number, by: { capacitor?: BoardPart; inductance?: BoardPart }) => {
      if (far >= 0 && !seen.has(far)) seen.set(far, { ...here, rail: far, depth: here.depth + 1, ...by });
    };
    if (!here.capacitor)
      for (const { part, far } of facts.capacitors)
        if ((part.value?.capacitance ?? 1e-7) >= SERIES_FARADS_AT_LEAST) reach(far, { capacitor: part });
    for (const { part, far } of [...facts.chokes, ...facts.windings])
      if (part !== anchor) reach(far, { inductance: part });
  }
  return [...seen.values()];
}

/** What commands a gate. */
export interface Command {
  readonly chip: BoardPart | undefined;
  /** A winding of the anchor itself, and one of another part. */
  readonly isSelf: boolean;
  readonly isOther: boolean;
  readonly small: BoardPart | undefined;
}

const COMMAND_DEPTH = 3;
const COMMAND_OHMS_BELOW = practice(22e3);

/** What commands a gate, over a few small parts; ways over `avoid` and over rails that stand still do not count. */
export function commandOf(
  { rails, primary }: BoardFacts,
  gate: number,
  anchor: BoardPart,
  avoid: readonly number[],
): Command {
  const found: { -readonly [key in keyof Command]: Command[key] } = {
    chip: undefined,
    isSelf: false,
    isOther: false,
    small: undefined,
  };
  const seen = new Set([gate]);
  let layer = gate >= 0 ? [gate] : [];
  for (let depth = 0; depth < COMMAND_DEPTH && layer.length > 0; depth += 1) {
    const next: number[] = [];
    for (const rail of layer) {
      const facts = rails[rail];
      if (!facts || (facts.still && rail !== gate)) continue;
      found.chip ??= facts.chips[0]?.part;
      for (const { part } of facts.windings)
        if (part === anchor) found.isSelf = true;
        else found.isOther = true;
      for (const element of [...facts.upper, ...facts.lower])
        if (primary(element) < 0.5) {
          found.small ??= element.part;
          if (element.lo === rail) next.push(element.gate);
        }
      for (const { part, far } of facts.resistors)
        if ((part.value?.resistance ?? 1e3) < COMMAND_OHMS_BELOW) next.push(far);
      next.push(...[...facts.capacitors, ...facts.out, ...facts.in].map(({ far }) => far));
    }
    layer = next.filter((rail) => rail >= 0 && !seen.has(rail) && !avoid.includes(rail));
    for (const rail of layer) seen.add(rail);
  }
  return found;
}

const GATE_DEPTH = 2;
const GATE_OHMS_BELOW = practice(3e3);
/** A larger store ends a way to a gate. */
const GATE_STORE_BELOW = practice(2.2e-5);

/** Power switches whose gate or base a rail reaches through a few small parts. */
export function gatesNear({ rails, primary }: BoardFacts, from: number): readonly SwitchElement[] {
  const found = new Set<SwitchElement>();
  const seen = new Set([from]);
  let layer = [from];
  for (let depth = 0; depth <= GATE_DEPTH && layer.length > 0; depth += 1) {
    const next: number[] = [];
    for (const rail of layer) {
      const facts = rails[rail];
      if (!facts || facts.bridgeDc || facts.output || facts.input) continue;
      if (facts.stores.some(({ part }) => (part.value?.capacitance ?? 1e-6) >= GATE_STORE_BELOW)) continue;
      for (const element of facts.gates) if (primary(element) > 0.25) found.add(element);
      for (const { part, far } of facts.resistors)
        if ((part.value?.resistance ?? 100) < GATE_OHMS_BELOW) next.push(far);
      next.push(...[...facts.capacitors, ...facts.out, ...facts.in, ...facts.stores].map(({ far }) => far));
    }
    layer = next.filter((rail) => rail >= 0 && !seen.has(rail));
    for (const rail of layer) seen.add(rail);
  }
  return [...found];
}

/** Whether a winding lies between the foot of a switch and what drives its gate. */
export function isBaseWinding(board: BoardFacts, winding: Winding): boolean {
  const [a, b] = endsOf(winding);
  if (a < 0 || b < 0) return false;
  const { rails } = board;
  const drives = (gate: number, foot: number) =>
    gatesNear(board, gate).some((element) => {
      const at = rails[foot];
      if (!at) return false;
      if (element.lo === foot || !at.known) return true;
      return (
        at.still &&
        (rails[element.lo]?.still ?? false) &&
        at.upper.length === 0 &&
        rails[gate]?.upper.length === 0 &&
        element.hi !== gate
      );
    });
  return drives(a, b) || drives(b, a);
}

/** Rails of the two ends of a winding. */
export const endsOf = ({ rails }: Winding): readonly [number, number] => [rails[0] ?? -1, rails.at(-1) ?? -1];

/** Whether the other end of any part lies on one of some rails. */
export const reaches = (parts: readonly FarPart[], ends: readonly number[]): boolean =>
  parts.some(({ far }) => ends.includes(far));
