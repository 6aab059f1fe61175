import { DisjointSets, pinName, type Nets } from './nets';
import type { Board, BoardPart } from './types';

/** Pins of a part between which current flows without a barrier; each group is one island's. */
export function conductingGroups(part: BoardPart): readonly (readonly string[])[] {
  const names = Object.keys(part.pins);
  if (part.fitted === false) return [];
  switch (part.kind) {
    case 'connector':
    case 'capacitor':
    case 'varistor':
    case 'spark-gap':
      return [];
    case 'optocoupler':
      return [
        ['A', 'K'],
        ['C', 'E'],
      ];
    case 'relay':
      return [['1', '2'], names.filter((name) => name !== '1' && name !== '2')];
    case 'common-mode-choke':
      return [
        ['1', '2'],
        ['3', '4'],
      ];
    case 'transformer':
      return part.windings ?? [];
    default:
      return [names];
  }
}

export const isInlet = ({ kind, role }: BoardPart): boolean =>
  kind === 'connector' && (role === 'mains-inlet' || role === 'dc-input');

const EARTH: ReadonlySet<string> = new Set(['E', 'PE', 'EARTH', 'FG', 'G', 'GND']);
/** Pins of the mains inlet that are live or neutral, and every pin of a DC input. */
export const inletPins = (part: BoardPart): readonly string[] =>
  Object.keys(part.pins).filter((pin) => part.role !== 'mains-inlet' || !EARTH.has(pin.toUpperCase()));

export interface Islands {
  /** Island of each net. */
  readonly of: (net: number) => number;
  readonly count: number;
  /** Islands the input reaches, and islands of the outputs that the input does not reach. */
  readonly input: ReadonlySet<number>;
  readonly outputs: ReadonlySet<number>;
}

/**
 * Islands of a board: nets that current can flow between without crossing a winding, a light path, a contact or a
 * capacitor. Islands are then joined over capacitors that are no Y capacitors, unless that would tie the input to an
 * output, which is a breach and is left for the findings. `without` leaves one part out.
 */
export function islandsOf(board: Board, nets: Nets, without?: BoardPart): Islands {
  const sets = new DisjointSets(nets.count);
  const netAt = (part: BoardPart, pin: string) => nets.of(`${part.ref}.${pin}`);
  for (const part of board.parts) {
    if (part === without) continue;
    for (const group of conductingGroups(part)) {
      const rails = group.map((pin) => netAt(part, pin)).filter((net) => net >= 0);
      for (const net of rails.slice(1)) sets.union(rails[0] ?? 0, net);
    }
  }
  const netsAt = (wanted: (part: BoardPart) => boolean, pins: (part: BoardPart) => readonly string[]) =>
    board.parts.filter(wanted).flatMap((part) => pins(part).map((pin) => netAt(part, pin)));
  const rootsOf = (list: readonly number[]) => new Set(list.map((net) => sets.find(net)));
  const atWindings = rootsOf(
    netsAt(
      ({ kind }) => kind === 'transformer',
      ({ windings }) => (windings ?? []).flat(),
    ),
  );
  const hasOutput = board.parts.some(({ kind, role }) => kind === 'connector' && role === 'output');
  // A load on a winding's side is what an output is elsewhere: a string of LEDs, a motor.
  const isOutput = (part: BoardPart) =>
    part.kind === 'connector' &&
    (part.role === 'output' ||
      (part.role === 'load' &&
        !hasOutput &&
        Object.keys(part.pins).some((pin) => atWindings.has(sets.find(netAt(part, pin))))));
  const inputNets = netsAt(isInlet, inletPins);
  const outputNets = netsAt(isOutput, (part) => Object.keys(part.pins));
  const capacitors = board.parts
    .filter((part) => part.kind === 'capacitor' && part.subtype !== 'y' && part !== without && part.fitted !== false)
    .toSorted((a, b) => (b.value?.capacitance ?? 0) - (a.value?.capacitance ?? 0));
  for (const part of capacitors) {
    const [a = -1, b = -1] = Object.keys(part.pins).map((pin) => netAt(part, pin));
    if (a < 0 || b < 0) continue;
    const [first, second] = [sets.find(a), sets.find(b)];
    if (first === second) continue;
    const [input, output] = [rootsOf(inputNets), rootsOf(outputNets)];
    const ties = (one: number, other: number) => input.has(one) && !input.has(other) && output.has(other);
    if (!ties(first, second) && !ties(second, first)) sets.union(a, b);
  }
  const { of, count } = sets.numbering();
  const numbersOf = (roots: ReadonlySet<number>) => new Set([...roots].map((root) => of[root] ?? -1));
  const input = numbersOf(rootsOf(inputNets));
  return {
    of: (net) => of[net] ?? -1,
    count,
    input,
    outputs: new Set([...numbersOf(rootsOf(outputNets))].filter((island) => !input.has(island))),
  };
}

/** Parts with a pin on the input's side and a pin on an output's, sorted by reference; connectors are no parts. */
export function crossingParts(board: Board, nets: Nets, islands: Islands): readonly BoardPart[] {
  return board.parts
    .filter((part) => {
      if (part.kind === 'connector' || part.fitted === false) return false;
      const on = Object.keys(part.pins).map((pin) => islands.of(nets.of(`${part.ref}.${pin}`)));
      return on.some((island) => islands.input.has(island)) && on.some((island) => islands.outputs.has(island));
    })
    .toSorted((a, b) => (a.ref < b.ref ? -1 : 1));
}

/** The side of every pin: `mains` or `input`, `isolated-1` and up, or `unknown`. */
export function sidesOf(board: Board, nets: Nets, islands: Islands): ReadonlyMap<string, string> {
  const inputName = board.parts.some(({ role }) => role === 'mains-inlet') ? 'mains' : 'input';
  const names = new Map<number, string>();
  for (const island of islands.input) names.set(island, inputName);
  const known = nets.complete || crossingParts(board, nets, islands).some(({ kind }) => kind === 'transformer');
  let number = 0;
  if (known) for (const island of islands.outputs) names.set(island, `isolated-${(number += 1)}`);
  const sizes = new Map<number, number>();
  for (let net = 0; net < nets.count; net += 1)
    sizes.set(islands.of(net), (sizes.get(islands.of(net)) ?? 0) + (nets.pins[net]?.length ?? 0));
  const sides = new Map<string, string>();
  for (let net = 0; net < nets.count; net += 1) {
    const island = islands.of(net);
    if (nets.complete && !names.has(island) && (sizes.get(island) ?? 0) > 2)
      names.set(island, `isolated-${(number += 1)}`);
    for (const pin of nets.pins[net] ?? []) sides.set(pinName(pin), names.get(island) ?? 'unknown');
  }
  return sides;
}
