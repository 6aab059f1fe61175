import type { Point, Side } from './types';

/** Drawing units between two tracks. */
export const STEP = 10;

export interface Terminal extends Point {
  readonly side: Side;
}

const AWAY: Readonly<Record<Side, Point>> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  top: { x: 0, y: -1 },
  bottom: { x: 0, y: 1 },
};

/** The point one step away from a pin, outside the symbol. */
export const stubEnd = ({ x, y, side }: Terminal): Point => ({
  x: x + AWAY[side].x * STEP,
  y: y + AWAY[side].y * STEP,
});

/**
 * Routes wires on a grid around boxes: breadth-first with a price for bends (Dijkstra over point and direction). Wires
 * of different nets may cross at right angles, and never run along each other or bend on each other.
 */
export class Router {
  private readonly blocked: Uint8Array;
  /** Net whose wire runs along a track through a point: level in the first half, upright in the second. */
  private readonly along: Int32Array;
  private readonly columns: number;
  private readonly rows: number;
  constructor(width: number, height: number) {
    this.columns = Math.ceil(width / STEP) + 1;
    this.rows = Math.ceil(height / STEP) + 1;
    this.blocked = new Uint8Array(this.columns * this.rows);
    this.along = new Int32Array(this.columns * this.rows * 2).fill(-1);
  }
  block(x: number, y: number, width: number, height: number): void {
    for (let row = Math.ceil(y / STEP); row <= Math.floor((y + height) / STEP); row += 1)
      for (let column = Math.ceil(x / STEP); column <= Math.floor((x + width) / STEP); column += 1)
        if (this.isInside(column, row)) this.blocked[row * this.columns + column] = 1;
  }
  private isInside(column: number, row: number): boolean {
    return column >= 0 && row >= 0 && column < this.columns && row < this.rows;
  }
  /** Keeps a pin's stub for its net. */
  reserve(net: number, terminal: Terminal): void {
    const { x, y } = stubEnd(terminal);
    const at = Math.round(y / STEP) * this.columns + Math.round(x / STEP);
    const half = this.columns * this.rows;
    this.along[at] = net;
    this.along[half + at] = net;
  }
  /** A path from a stub to any of the net's points, or `undefined` when none is within reach. */
  route(net: number, from: Point, goals: readonly Point[], farthest: number): readonly Point[] | undefined {
    const half = this.columns * this.rows;
    const index = (point: Point) => Math.round(point.y / STEP) * this.columns + Math.round(point.x / STEP);
    const targets = new Set(goals.map(index));
    const start = index(from);
    const cost = new Map<number, number>();
    const cameFrom = new Map<number, number>();
    const queue: { state: number; cost: number }[] = [];
    const push = (state: number, price: number, previous: number) => {
      if (price >= (cost.get(state) ?? Infinity) || price > farthest) return;
      cost.set(state, price);
      cameFrom.set(state, previous);
      let at = queue.length;
      queue.push({ state, cost: price });
      while (at > 0) {
        const up = (at - 1) >> 1;
        if ((queue[up]?.cost ?? 0) <= price) break;
        queue[at] = queue[up] as { state: number; cost: number };
        at = up;
      }
      queue[at] = { state, cost: price };
    };
    const pop = () => {
      const top = queue[0];
      const last = queue.pop();
      if (!top || !last || queue.length === 0) return top;
      let at = 0;
      for (;;) {
        const left = at * 2 + 1;
        if (left >= queue.length) break;
        const right = left + 1;
        const child = right < queue.length && (queue[right]?.cost ?? 0) < (queue[left]?.cost ?? 0) ? right : left;
        if ((queue[child]?.cost ?? 0) >= last.cost) break;
        queue[at] = queue[child] as { state: number; cost: number };
        at = child;
      }
      queue[at] = last;
      return top;
    };
    push(start, 0, -1);
    push(start + half, 0, -1);
    for (let here = pop(); here; here = pop()) {
      if (here.cost > (cost.get(here.state) ?? 0)) continue;
      const isUpright = here.state >= half;
      const at = isUpright ? here.state - half : here.state;
      if (targets.has(at)) return this.traced(here.state, cameFrom, half);
      const [column, row] = [at % this.columns, Math.floor(at / this.columns)];
      for (const [dx, dy] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const) {
        const [nextColumn, nextRow] = [column + dx, row + dy];
        if (!this.isInside(nextColumn, nextRow)) continue;
        const next = nextRow * this.columns + nextColumn;
        if (this.blocked[next] && !targets.has(next)) continue;
        const toUpright = dy !== 0;
        const turns = toUpright !== isUpright;
        const isFree = (point: number, upright: boolean) => {
          const owner = this.along[upright ? point + half : point] ?? -1;
          return owner === -1 || owner === net;
        };
        if (!isFree(next, toUpright) || !isFree(at, toUpright)) continue;
        // A bend needs the point for itself.
        if (turns && (!isFree(at, true) || !isFree(at, false))) continue;
        const crosses = !isFree(next, !toUpright);
        push(toUpright ? next + half : next, here.cost + 1 + (turns ? 2.5 : 0) + (crosses ? 1.5 : 0), here.state);
      }
    }
    return undefined;
  }
  private traced(end: number, cameFrom: ReadonlyMap<number, number>, half: number): readonly Point[] {
    const points: Point[] = [];
    for (let state = end; state >= 0; state = cameFrom.get(state) ?? -1) {
      const at = state >= half ? state - half : state;
      const point = { x: (at % this.columns) * STEP, y: Math.floor(at / this.columns) * STEP };
      const last = points.at(-1);
      if (!last || last.x !== point.x || last.y !== point.y) points.push(point);
    }
    return points;
  }
  /** Takes the tracks of a path for its net. */
  claim(net: number, points: readonly Point[]): void {
    const half = this.columns * this.rows;
    const set = (point: Point, upright: boolean) => {
      const at = Math.round(point.y / STEP) * this.columns + Math.round(point.x / STEP);
      this.along[upright ? at + half : at] = net;
    };
    points.forEach((point, index) => {
      const next = points[index + 1];
      const before = points[index - 1];
      for (const other of [next, before]) if (other) set(point, other.x === point.x);
    });
  }
}

/** A path without the points in the middle of straight runs. */
export function corners(points: readonly Point[]): readonly Point[] {
  return points.filter((point, index) => {
    const [before, next] = [points[index - 1], points[index + 1]];
    if (!before || !next) return true;
    return !((before.x === point.x && next.x === point.x) || (before.y === point.y && next.y === point.y));
  });
}
