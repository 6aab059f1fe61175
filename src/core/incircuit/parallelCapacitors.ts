import { DisjointSets, netsOf, pinName, type Board, type BoardPart } from '../board';

export interface ParallelCapacitance {
  /** Farads of the others that lie straight across, and their references. */
  readonly farads: number;
  readonly refs: readonly string[];
  /** Capacitors across it whose value is not known. */
  readonly unread: readonly string[];
}

/**
 * Capacitors that lie across another, through nothing but copper, fuses and windings, which a capacitance meter does
 * not see as a hindrance. Nothing when the part is not traced at both ends.
 */
export function parallelCapacitors(board: Board, ref: string): ParallelCapacitance | undefined {
  const nets = netsOf(board);
  const own = board.parts.find((part) => part.ref === ref);
  if (!own) return undefined;
  const sets = new DisjointSets(nets.count);
  for (const part of board.parts)
    for (const [a, b] of shortPairs(part)) {
      const [from, to] = [nets.of(`${part.ref}.${a}`), nets.of(`${part.ref}.${b}`)];
      if (from >= 0 && to >= 0) sets.union(from, to);
    }
  const endsOf = (part: BoardPart) =>
    Object.keys(part.pins)
      .map((pin) => nets.of(pinName({ part, pin })))
      .filter((net) => net >= 0 && (nets.pins[net]?.length ?? 0) > 1)
      .map((net) => sets.find(net));
  const [a, b] = endsOf(own);
  if (a === undefined || b === undefined || a === b) return undefined;
  const across = board.parts.filter((part) => {
    if (part.kind !== 'capacitor' || part.ref === ref || part.fitted === false) return false;
    const ends = endsOf(part);
    return ends.includes(a) && ends.includes(b);
  });
  return {
    farads: across.reduce((sum, { value }) => sum + (value?.capacitance ?? 0), 0),
    refs: across.map((part) => part.ref),
    unread: across.filter(({ value }) => value?.capacitance === undefined).map((part) => part.ref),
  };
}

function shortPairs({ kind, windings }: BoardPart): readonly (readonly [string, string])[] {
  if (kind === 'fuse' || kind === 'inductor') return [['1', '2']];
  if (kind === 'common-mode-choke')
    return [
      ['1', '2'],
      ['3', '4'],
    ];
  return (windings ?? []).flatMap((pins) => pins.slice(1).map((pin, index) => [pins[index] ?? '', pin] as const));
}
