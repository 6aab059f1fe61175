import type { Board, BoardPart } from './types';

/** How two pins, or two nets, stand to each other. */
export type Relation = 'joined' | 'separate' | 'unknown';

export interface NetPin {
  readonly part: BoardPart;
  readonly pin: string;
}

/** Name of a pin as a person writes it: `Q1.D`. */
export const pinName = ({ part, pin }: NetPin): string => `${part.ref}.${pin}`;

/** What is known of the connections of a board: three states for every pair of pins. */
export interface Nets {
  readonly count: number;
  readonly pins: readonly (readonly NetPin[])[];
  /** Net of a pin; -1 when the board has no such pin. */
  of(pin: string): number;
  relation(a: number, b: number): Relation;
  /** Whether every pin of the board on this net is known. */
  closed(net: number): boolean;
  /** Whether every pin of the board has been traced. */
  readonly complete: boolean;
  /** Pairs of pins said to be separate that the joins make one. */
  readonly clashes: readonly (readonly [string, string])[];
}

/** Disjoint sets over 0..n-1 with path halving; the lower root wins, so that the order of joins does not matter. */
export class DisjointSets {
  private readonly parent: Int32Array;
  constructor(size: number) {
    this.parent = Int32Array.from({ length: size }, (_, index) => index);
  }
  find(item: number): number {
    let at = item;
    for (;;) {
      const up = this.parent[at] ?? at;
      if (up === at) return at;
      const next = this.parent[up] ?? up;
      this.parent[at] = next;
      at = next;
    }
  }
  union(a: number, b: number): void {
    const [low, high] = [this.find(a), this.find(b)].sort((x, y) => x - y) as [number, number];
    this.parent[high] = low;
  }
  /** Dense number of each item's set, in order of first item. */
  numbering(): { readonly of: Int32Array; readonly count: number } {
    const of = new Int32Array(this.parent.length);
    const numbers = new Map<number, number>();
    for (let item = 0; item < of.length; item += 1) {
      const root = this.find(item);
      const number = numbers.get(root) ?? numbers.size;
      numbers.set(root, number);
      of[item] = number;
    }
    return { of, count: numbers.size };
  }
}

/**
 * Nets from the evidence of a board: pins of one net name and joined pins are one net; nets with different names,
 * and pairs said to be separate, are not. Everything else is unknown. Fittings left empty carry nothing, but their
 * pads are pins.
 */
export function netsOf(board: Board): Nets {
  const pins: NetPin[] = board.parts.flatMap((part) => Object.keys(part.pins).map((pin) => ({ part, pin })));
  const indexOf = new Map(pins.map((pin, index) => [pinName(pin), index]));
  const sets = new DisjointSets(pins.length);
  const firstOnNet = new Map<string, number>();
  pins.forEach(({ part, pin }, index) => {
    const name = part.pins[pin];
    if (name === null || name === undefined) return;
    const first = firstOnNet.get(name);
    if (first === undefined) firstOnNet.set(name, index);
    else sets.union(first, index);
  });
  for (const [a, b] of board.joined ?? []) {
    const [first, second] = [indexOf.get(a), indexOf.get(b)];
    if (first !== undefined && second !== undefined) sets.union(first, second);
  }
  const { of: netOfPin, count } = sets.numbering();
  const onNet: NetPin[][] = Array.from({ length: count }, () => []);
  const named = new Uint8Array(count);
  const swept = new Uint8Array(count);
  let complete = true;
  const isDeclared = board.complete === true;
  pins.forEach((pin, index) => {
    const net = netOfPin[index] ?? 0;
    onNet[net]?.push(pin);
    if (typeof pin.part.pins[pin.pin] === 'string') named[net] = 1;
    else complete = false;
  });
  const of = (pin: string) => {
    const index = indexOf.get(pin);
    return index === undefined ? -1 : (netOfPin[index] ?? -1);
  };
  for (const pin of board.swept ?? []) {
    const net = of(pin);
    if (net >= 0) swept[net] = 1;
  }
  const apart = new Set<number>();
  const key = (a: number, b: number) => Math.min(a, b) * count + Math.max(a, b);
  const clashes: (readonly [string, string])[] = [];
  for (const pair of [...(board.separate ?? []), ...(board.through ?? []).map(({ a, b }) => [a, b] as const)]) {
    const [a, b] = [of(pair[0]), of(pair[1])];
    if (a < 0 || b < 0) continue;
    if (a === b) clashes.push(pair);
    else apart.add(key(a, b));
  }
  return {
    count,
    pins: onNet,
    of,
    complete: complete || isDeclared,
    clashes,
    closed: (net) => isDeclared || swept[net] === 1 || (complete && named[net] === 1),
    relation(a, b) {
      if (a === b) return 'joined';
      if (isDeclared || (named[a] && named[b])) return 'separate';
      return swept[a] || swept[b] || apart.has(key(a, b)) ? 'separate' : 'unknown';
    },
  };
}
