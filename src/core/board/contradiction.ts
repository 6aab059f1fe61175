import type { Board, PinPair } from './types';

/** An observation of the board that takes part in a contradiction. */
export interface Observation {
  readonly kind: 'joined' | 'separate';
  readonly pins: PinPair;
}

/**
 * For every pair said to be separate although joins connect it: the smallest set of observations that cannot all
 * hold, which is the pair itself and a shortest path of joins between its pins (breadth-first search, so no smaller
 * set contradicts this pair). Pins of one net name count as joined from the start and stand in no set.
 */
export function contradictions(board: Board): readonly (readonly Observation[])[] {
  const nodeOf = (pin: string): string => {
    const [ref = '', name = ''] = splitPin(pin);
    const part = board.parts.find((candidate) => candidate.ref === ref);
    const net = part?.pins[name];
    return net === null || net === undefined ? pin : `net ${net}`;
  };
  const edges = new Map<string, { to: string; pins: PinPair }[]>();
  const link = (from: string, to: string, pins: PinPair) => edges.set(from, [...(edges.get(from) ?? []), { to, pins }]);
  for (const pins of board.joined ?? []) {
    const [a, b] = [nodeOf(pins[0]), nodeOf(pins[1])];
    if (a === b) continue;
    link(a, b, pins);
    link(b, a, pins);
  }
  const path = (from: string, to: string): readonly PinPair[] | undefined => {
    const cameBy = new Map<string, { from: string; pins: PinPair } | undefined>([[from, undefined]]);
    const queue = [from];
    for (const at of queue) {
      if (at === to) break;
      for (const edge of edges.get(at) ?? [])
        if (!cameBy.has(edge.to)) {
          cameBy.set(edge.to, { from: at, pins: edge.pins });
          queue.push(edge.to);
        }
    }
    if (!cameBy.has(to)) return undefined;
    const steps: PinPair[] = [];
    for (let step = cameBy.get(to); step; step = cameBy.get(step.from)) steps.unshift(step.pins);
    return steps;
  };
  return (board.separate ?? []).flatMap((pins) => {
    const joins = path(nodeOf(pins[0]), nodeOf(pins[1]));
    return joins
      ? [[{ kind: 'separate' as const, pins }, ...joins.map((pair) => ({ kind: 'joined' as const, pins: pair }))]]
      : [];
  });
}

/** Splits `Q1.D` into reference and pin; a reference holds no dot. */
export function splitPin(pin: string): readonly [string, string] {
  const at = pin.indexOf('.');
  return at < 0 ? [pin, ''] : [pin.slice(0, at), pin.slice(at + 1)];
}
