import { practice } from '../evidence';
import { chipByMarking } from '../chips';
import { dividedAt } from './dividers';
import { isPolarised, type Recognition } from '../topology';
import { stackedRails } from './railGroups';
import { outputGroups, type OutputGroup } from './outputGroups';

/** The voltage between two rails with the reason for it. */
export interface RailVoltage {
  readonly high: number;
  readonly low: number;
  /** Volt, never below zero. */
  readonly volts: number;
  readonly why: string;
}

export interface Voltages {
  readonly known: readonly RailVoltage[];
  /** Largest voltage known between two rails; `undefined` when nothing is known. */
  across(a: number, b: number): number | undefined;
  readonly outputs: readonly OutputGroup[];
}

/** Resistors up to this, in ohm, stand in a supply line. */
const SMALL_RESISTOR = practice(22);

/** What the reference of a power factor controller regulates to. */
const PFC_REFERENCE = practice(2.5);
/** Output of a power factor front end without a readable divider. */
const PFC_USUAL = practice(385);
/** What a power factor front end may make, in volt. */
const PFC_RANGE = practice({ from: 300, to: 460 });

/**
 * Whether a switch joins the middle of two stores to the line: closed for the lower mains voltage only, so that each store
 * stands on half of the higher one's peak.
 */
function hasSelector(middle: number, { model: { board, nets, rails } }: Recognition): boolean {
  const isMiddle = (net: number) => {
    const pins = (nets.pins[net] ?? []).filter(({ part }) => part.kind === 'capacitor').map(({ pin }) => pin);
    return pins.includes('+') && pins.includes('-');
  };
  return board.parts.some(
    (part) =>
      part.kind === 'switch' &&
      Object.keys(part.pins).some((pin) => rails.at(part, pin) === middle && isMiddle(nets.of(`${part.ref}.${pin}`))),
  );
}

/** Voltages that follow from the nameplate, the mains and the feedback dividers. */
export function voltagesOf(recognition: Recognition): Voltages {
  const { model, stages, bulk } = recognition;
  const { board, held, rails } = model;
  const known: RailVoltage[] = [];
  const set = (a: number, b: number, volts: number, why: string) => {
    if (a !== b && a >= 0 && b >= 0) known.push({ high: a, low: b, volts: Math.abs(volts), why });
  };
  const input = board.nameplate?.input;
  const highest = input?.vMax ?? input?.vMin;
  const outputs = outputGroups(recognition);
  for (const group of outputs)
    if (group.volts !== undefined) for (const rail of group.rails) set(rail, group.ground, group.volts, group.why);
  for (const one of outputs)
    for (const other of outputs)
      if (one !== other && one.ground === other.ground && one.volts !== undefined && other.volts !== undefined)
        for (const a of one.rails)
          for (const b of other.rails) set(a, b, one.volts - other.volts, `${one.why}; ${other.why}`);
  if (highest !== undefined && input?.kind === 'dc') {
    for (const part of board.parts.filter(({ role }) => role === 'dc-input')) {
      const pins = Object.keys(part.pins).map((pin) => rails.at(part, pin));
      const behind = pins.map((pin) =>
        [...behindInput(pin, recognition)].filter((rail) => rail === pin || !pins.includes(rail)),
      );
      for (const [at, own] of behind.entries())
        for (const others of behind.slice(at + 1))
          for (const a of own) for (const b of others) set(a, b, highest, `the input may reach ${highest} V`);
    }
  }
  if (highest !== undefined && input?.kind === 'ac') {
    const peak = highest * Math.SQRT2;
    const why = `${highest} V of mains has a peak of ${Math.round(peak)} V`;
    if (stages.some(({ form }) => form === 'dropper'))
      for (const a of held.mains) for (const b of held.dropped) set(a, b, peak, why);
    const middles = new Set(stackedRails(recognition).map(({ middle }) => middle));
    const isDoubler = (rail: number) => held.mains.has(rail) && !hasSelector(rail, recognition);
    const pfc = stages.find(({ topology }) => topology === 'boost-pfc');
    const isLine = stages.some(({ form }) => form === 'line' || form === 'dropper');
    if (pfc) {
      const [common] = pfc.sources;
      const volts = pfcVoltage(pfc.outputs[0] ?? -1, recognition) ?? PFC_USUAL;
      for (const rail of pfc.outputs)
        set(rail, common ?? -1, Math.max(volts, peak), `the power factor front end makes about ${Math.round(volts)} V`);
      for (const rail of pfc.sources.slice(1)) set(rail, common ?? -1, peak, why);
    } else if (!isLine) {
      for (const group of bulk.rails)
        for (const a of group)
          for (const b of group) {
            if (a >= b) continue;
            const middle = [a, b].find((rail) => middles.has(rail) || hasSelector(rail, recognition));
            const isSide = areOneSide(a, b, group, recognition);
            if (isSide) continue;
            set(a, b, middle === undefined || isDoubler(middle) ? peak : peak / 2, why);
          }
    }
  }
  for (const part of board.parts) {
    const limit = part.subtype === 'zener' ? part.value?.voltage : undefined;
    const [anode, cathode] = [rails.at(part, 'A'), rails.at(part, 'K')];
    if (limit === undefined || !held.isHeld(anode) || !held.isHeld(cathode) || across(anode, cathode) !== undefined)
      continue;
    set(cathode, anode, limit, `${part.ref} limits it`);
  }
  return { known, outputs, across };

  function across(a: number, b: number): number | undefined {
    const found = known.filter(({ high, low }) => (high === a && low === b) || (high === b && low === a));
    return found.length > 0 ? Math.max(...found.map(({ volts }) => volts)) : undefined;
  }
}

/** Rails on which an input lies as it comes in: behind filter chokes, small resistors, fuses, and what guards against reversal. */
function behindInput(start: number, { model, stages }: Recognition): ReadonlySet<number> {
  const { elements, board, rails, held } = model;
  const own = new Set(stages.flatMap((stage) => [...stage.switches, ...stage.rectifiers, ...stage.magnetics]));
  const both = (list: readonly { readonly a: number; readonly b: number }[]) =>
    list.flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]);
  const isReturn = (rail: number) => rails.on(rail).some(({ part, pin }) => isPolarised(part) && pin === '-');
  const links = [
    ...both(elements.inductive.filter(({ part }) => part.kind === 'inductor' && !own.has(part))),
    ...both(
      elements.switches
        .filter(({ part }) => (part.kind === 'pmos' || part.kind === 'nmos') && !own.has(part))
        .map(({ hi, lo }) => ({ a: hi, b: lo })),
    ),
    ...both(
      board.parts
        .filter(({ kind, value }) => kind === 'resistor' && (value?.resistance ?? Infinity) <= SMALL_RESISTOR)
        .map((part) => ({ a: rails.at(part, '1'), b: rails.at(part, '2') })),
    ),
    // From the return no diode leads on: what starts there keeps a rail from reversing.
    ...elements.rectifiers
      .filter(({ part, from }) => part.kind === 'diode' && !own.has(part) && !isReturn(from))
      .map(({ from, to }) => [from, to] as const),
  ];
  const made = new Set(stages.flatMap(({ outputs }) => outputs));
  const found = new Set([start]);
  for (const rail of found)
    for (const [from, to] of links) if (from === rail && held.isHeld(to) && !made.has(to)) found.add(to);
  return found;
}

/** Both rails on one side of the store, with a choke or a small resistor between. */
function areOneSide(a: number, b: number, group: readonly number[], { model }: Recognition): boolean {
  const { elements, board, rails } = model;
  const seen = new Set([a]);
  for (const rail of seen) {
    for (const { part, a: one, b: other } of elements.inductive)
      if (part.kind === 'inductor') {
        if (one === rail && group.includes(other)) seen.add(other);
        if (other === rail && group.includes(one)) seen.add(one);
      }
    for (const part of board.parts)
      if (part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SMALL_RESISTOR) {
        const [one, other] = [rails.at(part, '1'), rails.at(part, '2')];
        if (one === rail && group.includes(other)) seen.add(other);
        if (other === rail && group.includes(one)) seen.add(one);
      }
  }
  return seen.has(b);
}

/** Output of a power factor stage by the divider from it to a chip whose other resistor goes to the common rail. */
function pfcVoltage(out: number, { model, stages }: Recognition): number | undefined {
  const { board, rails } = model;
  const ground = stages.find(({ topology }) => topology === 'boost-pfc')?.sources[0] ?? -1;
  const taps = board.parts
    .filter(({ kind }) => kind === 'ic')
    .flatMap((part) => {
      const held = chipByMarking(part.marking)?.feedback ?? PFC_REFERENCE;
      return Object.keys(part.pins).map((pin) => ({ rail: rails.at(part, pin), ground, held, part }));
    });
  return taps
    .flatMap((tap) => dividedAt(out, tap, model)?.volts ?? [])
    .find((volts) => volts > PFC_RANGE.from && volts < PFC_RANGE.to);
}
