import type { BoardPart } from '../board';

/** Nets with more pins than this say little on what belongs together. */
export const FEW = 6;

/** How many steps a part is away from the inlets, along nets that few pins share. */
export function depthsOf(
  parts: readonly BoardPart[],
  netsOfPart: ReadonlyMap<string, readonly number[]>,
  size: (net: number) => number,
): (ref: string) => number {
  const depths = new Map<string, number>();
  const queue = parts.filter(({ role }) => role === 'mains-inlet' || role === 'dc-input').map(({ ref }) => ref);
  for (const ref of queue) depths.set(ref, 0);
  for (const ref of queue)
    for (const net of netsOfPart.get(ref) ?? [])
      if (size(net) <= FEW * 3)
        for (const other of parts)
          if (!depths.has(other.ref) && netsOfPart.get(other.ref)?.includes(net)) {
            depths.set(other.ref, (depths.get(ref) ?? 0) + 1);
            queue.push(other.ref);
          }
  return (ref) => depths.get(ref) ?? 3;
}

/** What each part is joined to, and how closely: a net of two pins counts one, one of many pins little. */
export type Neighbours = ReadonlyMap<string, ReadonlyMap<string, number>>;

/** Finds the neighbours of all parts. */
export function neighboursOf(
  parts: readonly BoardPart[],
  netsOfPart: ReadonlyMap<string, readonly number[]>,
  size: (net: number) => number,
): Neighbours {
  const onNet = new Map<number, string[]>();
  for (const { ref } of parts)
    for (const net of new Set(netsOfPart.get(ref))) onNet.set(net, [...(onNet.get(net) ?? []), ref]);
  const result = new Map<string, Map<string, number>>(parts.map(({ ref }) => [ref, new Map()]));
  for (const [net, refs] of onNet) {
    if (refs.length < 2) continue;
    const weight = 1 / (size(net) - 1) ** (size(net) > FEW ? 1.5 : 1);
    for (const a of refs)
      for (const b of refs) if (a !== b) result.get(a)?.set(b, (result.get(a)?.get(b) ?? 0) + weight);
  }
  return result;
}
