import type { Point } from './pairing';

/** The shortest lines that link all of some spots without a ring. Method: Prim. */
export function spanningLines<P extends Point>(spots: readonly P[]): readonly (readonly [P, P])[] {
  const [first, ...rest] = spots;
  if (!first) return [];
  const linked = [first];
  const left = new Set(rest);
  const lines: (readonly [P, P])[] = [];
  while (left.size > 0) {
    let best: readonly [P, P] | undefined;
    let shortest = Infinity;
    for (const from of linked)
      for (const to of left) {
        const length = Math.hypot(from.x - to.x, from.y - to.y);
        if (length < shortest) [best, shortest] = [[from, to], length];
      }
    if (!best) break;
    lines.push(best);
    linked.push(best[1]);
    left.delete(best[1]);
  }
  return lines;
}
