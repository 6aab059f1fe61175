import { isInlet, type BoardPart } from '../board';
import { chipByMarking } from '../chips';
import { TRANSISTOR_TERMINALS, type Analysis } from '../topology';
import type { ChipSides, DrawnWinding, SymbolContext } from './symbols';
import type { Side } from './types';

/** Where a part belongs: on the mains side, behind the barrier, on both, or nobody knows. */
export type Place = 'mains' | 'isolated' | 'across' | 'unknown';

/** A stage that is claimed, with its parts. */
export interface Stage {
  readonly topology: string;
  readonly probability: number;
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
}

/** A board as the drawing needs it: its nets by number, which of them are returns and supplies, and what carries power. */
export interface Circuit {
  /** From the input to the outputs, auxiliary converters last. */
  readonly stages: readonly Stage[];
  readonly parts: readonly BoardPart[];
  readonly part: (ref: string) => BoardPart | undefined;
  readonly netOf: (ref: string, pin: string) => number;
  readonly pinsOn: (net: number) => readonly { readonly part: BoardPart; readonly pin: string }[];
  /** Nets drawn as the sign of a return, by whether they are behind the barrier. */
  readonly grounds: ReadonlyMap<number, 'ground' | 'isolated-ground'>;
  /** Nets that are the return of their side, with a sign of their own or not. */
  readonly returns: ReadonlySet<number>;
  /** Nets that supply chips, with what their sign says. */
  readonly supplies: ReadonlyMap<number, string>;
  readonly isPower: (part: BoardPart) => boolean;
  readonly placeOf: (part: BoardPart) => Place;
  readonly sideOfPin: (ref: string, pin: string) => string;
  /** Whether nothing more can be on a net. */
  readonly isClosed: (net: number) => boolean;
  /** Whether a net goes on to parts that are not drawn. */
  readonly reachesOut: (net: number) => boolean;
  /** Names of nets, where they are those of the whole board: one name stands for one net on every sheet of it. */
  readonly names?: ReadonlyMap<number, string>;
  readonly symbols: SymbolContext;
}

/** A net of fewer pins needs no sign. */
const GROUND_FROM = 4;
/** What makes a net the return of its side, beside the pins on it. */
const RETURN = { bulk: 100, output: 60, inlet: 60, chip: 5, negative: 3 } as const;
const SUPPLY_FROM = 3;
/** What stands at a return that has no sign of its own; a number follows. */
const RETURN_NAME = '0V';
const RETURN_NAMES = /^(-|GND|0V|COM|N?GND\d?|RTN)$/i;
const POWER_KINDS: ReadonlySet<string> = new Set(['connector', 'fuse', 'bridge', 'common-mode-choke']);

/** What the sign of a supply says: the pin's name, or the usual one. */
const supplyName = (pin: string) => (/[A-Za-z]$|\+$/.test(pin) && pin.length > 1 ? pin : 'VCC');

/** Stages whose magnetic part lies in the way of the power. */
const CELLS: ReadonlySet<string> = new Set(['boost-pfc', 'boost', 'buck', 'inverting-buck-boost', 'sepic', 'cuk']);

/** Reads a board for drawing. */
export function circuitOf(analysis: Analysis): Circuit {
  const { recognition, bulk, sides } = analysis;
  const { model } = recognition;
  const { board, nets } = model;
  const byRef = new Map(board.parts.map((part) => [part.ref, part]));
  const partsOf = (refs: readonly string[]) => refs.flatMap((ref) => byRef.get(ref) ?? []);
  const stages = analysis.stages.map(({ topology, probability, switches, rectifiers, magnetics }): Stage => ({
    topology,
    probability,
    switches: partsOf(switches),
    rectifiers: partsOf(rectifiers),
    magnetics: partsOf(magnetics),
  }));
  const netOf = (ref: string, pin: string) => nets.of(`${ref}.${pin}`);
  const sideOfPin = (ref: string, pin: string) => sides[`${ref}.${pin}`] ?? 'unknown';
  const isIsolated = (ref: string, pin: string) => sideOfPin(ref, pin).startsWith('isolated');
  const power = new Set([
    ...bulk,
    ...stages.flatMap(({ switches, rectifiers, magnetics }) =>
      [...switches, ...rectifiers, ...magnetics].map(({ ref }) => ref),
    ),
  ]);
  const pinNumber = (pin: string) => Number(/\d+$/.exec(pin)?.[0] ?? Number.NaN);
  const chipPin = (part: BoardPart, pin: string) =>
    part.kind === 'ic'
      ? chipByMarking(part.marking)?.pins.find(({ number, name }) => number === pinNumber(pin) || name === pin)
      : undefined;
  const pinNameOf = (part: BoardPart, pin: string) => part.pinNames?.[pin] ?? chipPin(part, pin)?.name ?? pin;
  const doesOf = (part: BoardPart, pin: string): string => {
    const known = chipPin(part, pin)?.does;
    if (known) return known;
    const name = pinNameOf(part, pin);
    if (/GND|VSS|^0V$|^COM$/i.test(name)) return 'ground';
    if (/VCC|VDD|^VIN|^V\+|^HV|^VS$|^VB$|BOOT/i.test(name)) return 'supply';
    if (/GATE|DRV|OUT|^[HL]O\d?$|DRAIN|^D$|^SW$|^LX$|^HB$/i.test(name)) return 'gate';
    return 'signal';
  };

  const grounds = new Map<number, 'ground' | 'isolated-ground'>();
  const best = new Map<number, { net: number; score: number }>();
  for (let net = 0; net < nets.count; net += 1) {
    const pins = nets.pins[net] ?? [];
    if (pins.length < GROUND_FROM) continue;
    const score = pins.reduce((sum, { part, pin }) => {
      if (pin === '-' && bulk.includes(part.ref)) return sum + RETURN.bulk;
      if (part.kind === 'connector' && RETURN_NAMES.test(pin))
        return sum + (isInlet(part) ? RETURN.inlet : RETURN.output);
      if (part.kind === 'ic' && doesOf(part, pin) === 'ground') return sum + RETURN.chip;
      return sum + (pin === '-' ? RETURN.negative : 1);
    }, 0);
    const island = recognition.barrier.islands.of(net);
    if (score > (best.get(island)?.score ?? 0)) best.set(island, { net, score });
  }
  const supplies = new Map<number, string>();
  // One sign stands for one net: a second return of the same kind has a name.
  for (const { net } of [...best.values()].toSorted((a, b) => b.score - a.score)) {
    const [first] = nets.pins[net] ?? [];
    const sign = first && isIsolated(first.part.ref, first.pin) ? 'isolated-ground' : 'ground';
    if ([...grounds.values()].includes(sign)) supplies.set(net, RETURN_NAME);
    else grounds.set(net, sign);
  }
  const returns = new Set([...best.values()].map(({ net }) => net));
  for (const part of board.parts)
    for (const pin of part.kind === 'ic' ? Object.keys(part.pins) : []) {
      const net = netOf(part.ref, pin);
      if (doesOf(part, pin) !== 'supply' || returns.has(net) || supplies.has(net)) continue;
      if ((nets.pins[net]?.length ?? 0) >= SUPPLY_FROM) supplies.set(net, supplyName(pinNameOf(part, pin)));
    }
  // A chip nobody knows is fed where its own store stands.
  for (const part of board.parts)
    for (const pin of part.kind === 'ic' ? Object.keys(part.pins) : []) {
      const net = netOf(part.ref, pin);
      const pins = nets.pins[net] ?? [];
      if (returns.has(net) || supplies.has(net) || doesOf(part, pin) !== 'signal' || pins.length < SUPPLY_FROM)
        continue;
      const isStored = pins.some(
        (other) => other.pin === '+' && other.part.kind === 'capacitor' && !power.has(other.part.ref),
      );
      const isOutput = pins.some((other) => other.part.kind === 'connector');
      if (isStored && !isOutput) supplies.set(net, supplyName(pin));
    }

  const placeOf = remembered((part: BoardPart): Place => {
    const pins = Object.keys(part.pins).map((pin) => ({
      side: sideOfPin(part.ref, pin),
      isEarth: (nets.pins[netOf(part.ref, pin)] ?? []).some((other) => other.part.role === 'mains-inlet'),
    }));
    const isMains = pins.some(({ side }) => side === 'mains' || side === 'input');
    // Earth comes in with the mains: what lies between a line and earth does not cross the barrier.
    const isIsolated = pins.some(({ side, isEarth }) => side.startsWith('isolated') && !(isEarth && isMains));
    if (isIsolated && isMains) return 'across';
    return isIsolated ? 'isolated' : isMains || pins.some(({ isEarth }) => isEarth) ? 'mains' : 'unknown';
  });
  const isPower = (part: BoardPart) => power.has(part.ref) || POWER_KINDS.has(part.kind);
  const circuit = {
    stages,
    parts: board.parts,
    part: (ref: string) => byRef.get(ref),
    netOf,
    pinsOn: (net: number) => nets.pins[net] ?? [],
    grounds,
    returns,
    supplies,
    isPower,
    placeOf,
    sideOfPin,
    isClosed: (net: number) => nets.closed(net),
    reachesOut: () => false,
  };
  const cells = new Set(stages.filter(({ topology }) => CELLS.has(topology)).flatMap(({ magnetics }) => magnetics));
  const isChoke = (part: BoardPart) => cells.has(part) && part.kind === 'transformer' && placeOf(part) !== 'across';
  const windingsOf = remembered((part: BoardPart): readonly DrawnWinding[] => {
    const listed = part.windings ?? model.elements.windings.filter((one) => one.part === part).map(({ pins }) => pins);
    const known = new Set(listed.flat());
    const loose = Object.keys(part.pins).filter((pin) => !known.has(pin));
    const all = [...listed, ...loose.map((pin) => [pin])];
    const isBehind = (pins: readonly string[]) => pins.some((pin) => isIsolated(part.ref, pin));
    // Where nothing is known to be behind the barrier yet, what is not known to be before it is drawn there.
    const isBefore = (pins: readonly string[]) =>
      pins.some((pin) => ['mains', 'input'].includes(sideOfPin(part.ref, pin)));
    const isRight = all.some((pins) => isBehind(pins)) ? isBehind : (pins: readonly string[]) => !isBefore(pins);
    const isApart = all.some((pins) => isRight(pins)) && all.some((pins) => !isRight(pins));
    return all
      .toSorted((a, b) => weightOf(part, b) - weightOf(part, a))
      .map((pins, index) => ({
        pins: isUpsideDown(part, pins) ? pins.toReversed() : pins,
        side: (isApart ? isRight(pins) : index > 0) ? 'right' : 'left',
      }));
  });
  /** The end of a winding at a return stands below; else the one at a switch. */
  const depthOf = (part: BoardPart, pin: string) => {
    const net = netOf(part.ref, pin);
    if (returns.has(net)) return 2;
    return circuit.pinsOn(net).some((other) => power.has(other.part.ref) && other.part.kind in TRANSISTOR_TERMINALS)
      ? 1
      : 0;
  };
  const isUpsideDown = (part: BoardPart, pins: readonly string[]) =>
    depthOf(part, pins[0] ?? '') > depthOf(part, pins.at(-1) ?? '');
  /** How much power a winding is joined to; everything is joined to a return. */
  const weightOf = (part: BoardPart, pins: readonly string[]) =>
    pins
      .map((pin) => netOf(part.ref, pin))
      .filter((net) => !returns.has(net))
      .reduce((sum, net) => sum + circuit.pinsOn(net).filter((other) => power.has(other.part.ref)).length, 0);
  return {
    ...circuit,
    symbols: {
      isBlock: () => false,
      isChoke,
      windingsOf,
      pinNameOf,
      isEntering: (part) => isInlet(part) || part.role === 'line-selector',
      sidesOf: (part) => chipSidesOf(part, circuit, doesOf),
    },
  };
}

/** A function of parts that works each out once. */
function remembered<Result>(of: (part: BoardPart) => Result): (part: BoardPart) => Result {
  const known = new Map<BoardPart, Result>();
  return (part) => {
    const found = known.get(part);
    if (found !== undefined) return found;
    const result = of(part);
    known.set(part, result);
    return result;
  };
}

/** Whether a net commands a transistor, itself or over one part with two pins. */
function commands(net: number, from: BoardPart, { pinsOn, netOf, returns, supplies }: Reading): boolean {
  const isCommand = (at: number) =>
    pinsOn(at).some(
      ({ part, pin }) => TRANSISTOR_TERMINALS[part.kind]?.gate === pin || (part.kind === 'triac' && pin === 'G'),
    );
  if (returns.has(net) || supplies.has(net)) return false;
  return (
    isCommand(net) ||
    pinsOn(net).some(({ part }) => {
      const pins = Object.keys(part.pins);
      return (
        part !== from &&
        pins.length === 2 &&
        pins.some((pin) => {
          const next = netOf(part.ref, pin);
          return next !== net && !returns.has(next) && !supplies.has(next) && isCommand(next);
        })
      );
    })
  );
}

/** What pins do that stand above and at the right of a box. */
const AT_TOP: ReadonlySet<string> = new Set(['supply', 'power-in', 'high-voltage']);
const AT_RIGHT: ReadonlySet<string> = new Set(['gate', 'gate-high', 'drain', 'switch', 'midpoint', 'output', 'boot']);

type Reading = Pick<Circuit, 'pinsOn' | 'netOf' | 'returns' | 'supplies'>;

/** Sides of a box by what its pins do: what is not known stands at the left until the right has room for it. */
export function chipSidesOf(
  part: BoardPart,
  reading: Reading,
  doesOf: (part: BoardPart, pin: string) => string,
): ChipSides {
  const sides: Record<Side, string[]> = { left: [], right: [], top: [], bottom: [] };
  for (const pin of Object.keys(part.pins)) {
    const net = reading.netOf(part.ref, pin);
    const does = doesOf(part, pin);
    if (reading.returns.has(net) || does === 'ground') sides.bottom.push(pin);
    else if (AT_TOP.has(does) || reading.supplies.has(net)) sides.top.push(pin);
    else if (AT_RIGHT.has(does) || commands(net, part, reading)) sides.right.push(pin);
    else sides.left.push(pin);
  }
  while (sides.left.length > sides.right.length + 3) sides.right.push(sides.left.pop() ?? '');
  return sides;
}
