import type { BoardPart } from '../../board';
import type { Elements } from './elements';
import type { Held } from './held';
import { COUPLING_AT_LEAST } from './parts';

/** A rail that another reaches through parts that pass alternating current. */
export interface Reach {
  readonly rail: number;
  readonly through: readonly BoardPart[];
  readonly hasCapacitor: boolean;
}

export interface SeriesOptions {
  /** A part that the path must not go through. */
  readonly without?: BoardPart;
  readonly most?: number;
}

/**
 * Rails reached from one rail through coupling capacitors, chokes and the windings of other transformers, the rail
 * itself first. A path ends at a held rail: what lies behind it is another matter.
 */
export function reachOf(
  start: number,
  elements: Elements,
  held: Held,
  { without, most = 3 }: SeriesOptions = {},
): readonly Reach[] {
  const found = new Map<number, Reach>([[start, { rail: start, through: [], hasCapacitor: false }]]);
  const queue = [start];
  for (const rail of queue) {
    const here = found.get(rail);
    if (!here || here.through.length >= most || (rail !== start && held.isHeld(rail))) continue;
    const step = (to: number, part: BoardPart, isCapacitor: boolean) => {
      if (to < 0 || found.has(to) || part === without || here.through.includes(part)) return;
      found.set(to, {
        rail: to,
        through: [...here.through, part],
        hasCapacitor: here.hasCapacitor || isCapacitor,
      });
      queue.push(to);
    };
    for (const { part, a, b } of elements.capacitors) {
      if (part.subtype === 'y' || part.subtype === 'x' || (part.value?.capacitance ?? 1) < COUPLING_AT_LEAST) continue;
      if (a === rail) step(b, part, true);
      else if (b === rail) step(a, part, true);
    }
    for (const { part, a, b } of elements.inductive) {
      if (a === rail) step(b, part, false);
      else if (b === rail) step(a, part, false);
    }
  }
  return [...found.values()];
}
