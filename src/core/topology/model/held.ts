import { practice } from '../../evidence';
import type { Board, BoardPart } from '../../board';
import type { CapacitorElement, Elements } from './elements';
import {
  isEarthPin,
  isPolarised,
  isReservoirPart,
  mayHoldSwitch,
  SERIES_RESISTOR_AT_MOST,
  TRANSISTOR_TERMINALS,
  twoPins,
} from './parts';
import type { Rails } from './rails';

/** Which rails stand still over a switching period, and where the power comes in. */
export interface Held {
  /** Live and neutral, and what is in series with them. */
  readonly mains: ReadonlySet<number>;
  /** Behind a dropper capacitor. */
  readonly dropped: ReadonlySet<number>;
  /** Ends of transformer windings whose primary lies across the mains. */
  readonly lineSecondary: ReadonlySet<number>;
  /** Both sides of what rectifies the mains, a dropped voltage or a line transformer. */
  readonly rectified: ReadonlySet<number>;
  /** Rails of a DC input. */
  readonly input: ReadonlySet<number>;
  /** Rails held by a reservoir, a connector or a rectified source. */
  readonly isHeld: (rail: number) => boolean;
}

const LINE_PARTS: ReadonlySet<string> = new Set([
  'bridge',
  'triac',
  'scr',
  'varistor',
  'diode',
  'dual-diode',
  'transformer',
]);
/** Dropper capacitors start here. */
const DROPPER_AT_LEAST = practice(47e-9);

export function heldRails(board: Board, rails: Rails, elements: Elements): Held {
  const parts = board.parts;
  const connectorRails = (role: string, wanted: (pin: string) => boolean = () => true) =>
    parts
      .filter((part) => part.kind === 'connector' && part.role === role)
      .flatMap((part) =>
        Object.keys(part.pins)
          .filter(wanted)
          .map((pin) => rails.at(part, pin)),
      );
  const mains = mainsRails(
    board,
    rails,
    connectorRails('mains-inlet', (pin) => !isEarthPin(pin)),
  );
  const input = new Set(connectorRails('dc-input'));
  const outputs = new Set([...connectorRails('output'), ...storedLoads(parts, rails, elements)]);
  const dropped = new Set(
    elements.capacitors.flatMap(({ part, a, b, polarised }) => {
      if (polarised || part.subtype === 'y' || (part.value?.capacitance ?? 1) < DROPPER_AT_LEAST) return [];
      const ends = [a, b];
      const [far, ...others] = ends.filter((rail) => !mains.has(rail));
      if (far === undefined || others.length > 0) return [];
      const isRectified = (rail: number) =>
        rails
          .on(rail)
          .some(
            ({ part: other }) =>
              other !== part && (other.kind === 'diode' || other.kind === 'bridge' || other.kind === 'dual-diode'),
          );
      const behind = behindResistors(far, rails).filter((rail) => !mains.has(rail) && isRectified(rail));
      return isRectified(far) ? [far] : behind.length > 0 ? [far, ...behind] : [];
    }),
  );
  const lineSecondary = new Set<number>();
  for (const line of elements.windings) {
    const ends = [line.rails[0] ?? -1, line.rails.at(-1) ?? -1];
    if (line.part.kind !== 'transformer' || ends[0] === ends[1] || !ends.every((rail) => mains.has(rail))) continue;
    for (const other of elements.windings)
      if (other.part === line.part && other !== line && !other.rails.every((rail) => mains.has(rail)))
        for (const rail of other.rails) lineSecondary.add(rail);
  }
  const isGround = (rail: number) => rails.on(rail).some(({ part }) => isPolarised(part));
  const lines = [...elements.rectifiers, ...thyristors(elements)];
  const rectifiedFrom = (alternating: (rail: number) => boolean) => {
    const found = new Set<number>();
    const isFromLine = (far: number) =>
      lines.some(
        ({ from, to }) =>
          (from === far && alternating(to) && !isGround(to)) || (to === far && alternating(from) && !isGround(from)),
      );
    for (const { from, to } of lines)
      for (const [near, far] of [
        [from, to],
        [to, from],
      ] as const) {
        if (alternating(near) && !alternating(far) && isFromLine(far)) found.add(far);
        if (lineSecondary.has(near) && !lineSecondary.has(far)) found.add(far);
      }
    return found;
  };
  const alternating = (rail: number) => mains.has(rail) || dropped.has(rail);
  const behindBridge = rectifiedFrom(alternating);
  // Without a bridge the cells behind the chokes on the line rectify it.
  const atChokes = switchedChokes(elements, mains, rails);
  const rectified =
    behindBridge.size > 0 ? behindBridge : rectifiedFrom((rail) => alternating(rail) || atChokes.has(rail));
  // Two diodes in series for twice the voltage: what lies between them is no rail of its own.
  for (const { part, from, to } of elements.rectifiers) {
    const between = rails.on(from);
    const isBetween = between.length > 1 && between.every(({ part: other }) => other.kind === 'diode');
    if (part.kind === 'diode' && rectified.has(from) && isBetween && !alternating(to)) rectified.add(to);
  }
  const held = new Set<number>([...rectified, ...input, ...outputs]);
  for (const rail of behindLoadSwitches(outputs, elements)) held.add(rail);
  for (const rail of [...held]) if (mains.has(rail) && !rectified.has(rail)) held.delete(rail);
  const reservoirs = elements.capacitors.filter(
    (capacitor) => isReservoirPart(capacitor.part) && !isInSeries(capacitor, rails),
  );
  for (let grown = true; grown;) {
    grown = false;
    for (const { a, b, polarised } of reservoirs)
      for (const [near, far] of [
        [a, b],
        [b, a],
      ] as const)
        if (held.has(near) && !held.has(far) && (polarised || !mains.has(far))) {
          held.add(far);
          grown = true;
        }
  }
  for (const rail of dumpedRails(elements, rails)) held.add(rail);
  return { mains, dropped, lineSecondary, rectified, input, isHeld: (rail) => held.has(rail) };
}

/**
 * Rails that a store holds until a thyristor dumps it: the store's other end leads to the thyristor through a winding, or
 * the winding stands between the store and the thyristor.
 */
const dumpedRails = ({ capacitors, switches, rectifiers }: Elements, rails: Rails): readonly number[] => {
  const atThyristor = new Set(switches.filter(({ part }) => part.kind === 'scr').flatMap(({ hi, lo }) => [hi, lo]));
  return capacitors
    .filter((capacitor) => isReservoirPart(capacitor.part) && isInSeries(capacitor, rails))
    .flatMap(({ a, b }) => [a, b])
    .filter((rail) => atThyristor.has(rail) && rectifiers.some(({ from, to }) => from === rail || to === rail));
};

/** A store before a switch that disconnects the load; smaller ones may belong to the drive of a switch. */
const STORE_BEFORE_LOAD_SWITCH = practice(4.7e-5);

/** Rails with a store, from which a transistor leads to an output. */
const behindLoadSwitches = (outputs: ReadonlySet<number>, { switches, capacitors }: Elements): readonly number[] =>
  switches
    .filter(({ part }) => part.kind !== 'scr')
    .flatMap(({ hi, lo }) => (outputs.has(hi) ? [lo] : outputs.has(lo) ? [hi] : []))
    .filter((rail) =>
      capacitors.some(
        ({ part, a, b, polarised }) =>
          polarised && (a === rail || b === rail) && (part.value?.capacitance ?? 0) >= STORE_BEFORE_LOAD_SWITCH,
      ),
    );

/** Both sides of loads that a polarised capacitor lies across. */
const storedLoads = (parts: readonly BoardPart[], rails: Rails, { capacitors }: Elements): readonly number[] =>
  parts
    .filter(({ kind, role }) => kind === 'connector' && role === 'load')
    .flatMap((part) => {
      const own = Object.keys(part.pins).map((pin) => rails.at(part, pin));
      return capacitors.flatMap(({ a, b, polarised }) =>
        polarised && own.includes(a) && own.includes(b) ? [a, b] : [],
      );
    });

/** Rails that a small resistor, such as one against surges, stands before. */
const behindResistors = (rail: number, rails: Rails): readonly number[] =>
  rails.on(rail).flatMap(({ part }) => {
    const pins = part.kind === 'resistor' ? lineSeriesPins(part) : undefined;
    return pins ? pins.map((pin) => rails.at(part, pin)).filter((other) => other !== rail) : [];
  });

const thyristors = ({ switches }: Elements) =>
  switches.filter(({ part }) => part.kind === 'scr').map(({ hi, lo }) => ({ from: hi, to: lo }));

/** Live and neutral, grown through what stands in series with them. */
function mainsRails({ parts }: Board, rails: Rails, seeds: readonly number[]): Set<number> {
  const mains = new Set(seeds.filter((rail) => rail >= 0));
  const leadsOn = (rail: number, via: BoardPart) =>
    rails
      .on(rail)
      .some(
        ({ part }) =>
          part !== via &&
          (LINE_PARTS.has(part.kind) ||
            (part.kind === 'capacitor' && (part.subtype === 'x' || part.subtype === 'film'))),
      ) && !rails.on(rail).some(({ part, pin }) => part.kind === 'capacitor' && (pin === '+' || pin === '-'));
  for (let grown = true; grown;) {
    grown = false;
    for (const part of parts) {
      const pins = lineSeriesPins(part);
      if (!pins) continue;
      const [a, b] = [rails.at(part, pins[0]), rails.at(part, pins[1])];
      for (const [near, far] of [
        [a, b],
        [b, a],
      ] as const)
        if (mains.has(near) && far >= 0 && !mains.has(far) && leadsOn(far, part) && !isSwitched(far, part, rails)) {
          mains.add(far);
          grown = true;
        }
    }
  }
  return mains;
}

/** Where a choke meets a switch, it is the choke of a converter that works straight on the line. */
const isSwitched = (rail: number, via: BoardPart, rails: Rails) =>
  via.kind === 'inductor' &&
  rails.on(rail).some(({ part, pin }) => {
    const terminals = TRANSISTOR_TERMINALS[part.kind];
    return terminals ? part.kind !== 'scr' && pin !== terminals.gate : mayHoldSwitch(part);
  });

/** Far ends of chokes that hang on the line and meet a switch. */
const switchedChokes = ({ inductive }: Elements, mains: ReadonlySet<number>, rails: Rails): ReadonlySet<number> =>
  new Set(
    inductive.flatMap(({ part, a, b }) =>
      [[a, b] as const, [b, a] as const].flatMap(([near, far]) =>
        mains.has(near) && !mains.has(far) && isSwitched(far, part, rails) ? [far] : [],
      ),
    ),
  );

function lineSeriesPins(part: BoardPart): readonly [string, string] | undefined {
  if (part.kind === 'inductor') return twoPins(part);
  if (part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SERIES_RESISTOR_AT_MOST) return ['1', '2'];
  if (part.kind === 'triac') return ['MT1', 'MT2'];
  return undefined;
}

/** A capacitor with one end on a winding and nothing else that draws current there passes alternating current only. */
export function isInSeries({ part, a, b, polarised }: CapacitorElement, rails: Rails): boolean {
  if (polarised) return false;
  return [a, b].some((rail) => {
    const others = rails.on(rail).filter((pin) => pin.part !== part && !rails.isPass(pin.part));
    const drawing = others.filter(
      ({ part: other }) =>
        other.kind !== 'capacitor' &&
        !(other.kind === 'resistor' && (other.value?.resistance ?? Infinity) >= 10e3) &&
        other.kind !== 'varistor',
    );
    return drawing.length === 1 && ['transformer', 'inductor'].includes(drawing[0]?.part.kind ?? '');
  });
}
