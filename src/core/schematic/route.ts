import { AWAY, STEP } from './sheet';
import type { Point, Side } from './types';

export interface Terminal extends Point {
  readonly side: Side;
}

/** The point one step away from a pin, outside the symbol. */
export const stubEnd = ({ x, y, side }: Terminal): Point => ({
  x: x + AWAY[side].x * STEP,
  y: y + AWAY[side].y * STEP,
});

/** Price of a step through words, in halves of a step. */
const CROWDED = 7;
/** Price of a bend, and of a wire that is crossed. */
const BENT = 6;
const CROSSED = 20;

/**
 * Routes wires on a grid around boxes: Dijkstra over point and direction, with a price for bends and crossings. Wires
 * of different nets may cross at right angles, and never run along each other or bend on each other.
 */
export class Router {
  private readonly blocked: Uint8Array;
  /** Where words stand: a wire may run there when it has no better way. */
  private readonly crowded: Uint8Array;
  /** Net whose wire runs along a track through a point: level in the first half, upright in the second. */
  private readonly along: Int32Array;
  /** Work of one search; a state counts only when it was seen in the present round. */
  private readonly cost: Int32Array;
  private readonly cameFrom: Int32Array;
  private readonly seenIn: Int32Array;
  /** The round in which a point was a goal. */
  private readonly goalIn: Int32Array;
  private round = 0;
  private readonly columns: number;
  private readonly rows: number;
  constructor(width: number, height: number) {
    this.columns = Math.ceil(width / STEP) + 1;
    this.rows = Math.ceil(height / STEP) + 1;
    this.blocked = new Uint8Array(this.columns * this.rows);
    this.crowded = new Uint8Array(this.columns * this.rows);
    const states = this.columns * this.rows * 2;
    this.along = new Int32Array(states).fill(-1);
    this.cost = new Int32Array(states);
    this.cameFrom = new Int32Array(states);
    this.seenIn = new Int32Array(states);
    this.goalIn = new Int32Array(this.columns * this.rows);
  }
  block(x: number, y: number, width: number, height: number): void {
    this.mark(this.blocked, x, y, width, height);
  }
  crowd(x: number, y: number, width: number, height: number): void {
    this.mark(this.crowded, x, y, width, height);
  }
  private mark(points: Uint8Array, x: number, y: number, width: number, height: number): void {
    for (let row = Math.ceil(y / STEP); row <= Math.floor((y + height) / STEP); row += 1)
      for (let column = Math.ceil(x / STEP); column <= Math.floor((x + width) / STEP); column += 1)
        if (this.isInside(column, row)) points[row * this.columns + column] = 1;
  }
  private isInside(column: number, row: number): boolean {
    return column >= 0 && row >= 0 && column < this.columns && row < this.rows;
  }
  /** Keeps a pin's stub for its net. */
  reserve(net: number, terminal: Terminal): void {
    const { x, y } = stubEnd(terminal);
    const at = this.index({ x, y });
    const half = this.columns * this.rows;
    this.along[at] = net;
    this.along[half + at] = net;
  }
  /** A path from a stub to any of the net's points, or `undefined` when none is within reach. */
  route(net: number, from: Point, goals: readonly Point[], farthest: number): readonly Point[] | undefined {
    const { cost, cameFrom, seenIn, along, blocked, crowded, columns, rows } = this;
    const half = columns * rows;
    this.round += 1;
    const { round, goalIn } = this;
    for (const goal of goals) goalIn[this.index(goal)] = round;
    // Prices are halves, so that states wait in buckets by price and need no heap; what is at least left to the goals is counted in.
    const dearest = farthest * 2;
    const buckets: (number[] | undefined)[] = [];
    const start = this.index(from);
    const box = this.gridBox(goals);
    const leftFrom = (column: number, row: number, isUpright: boolean) => {
      const aside = Math.max(0, box.left - column, column - box.right);
      const down = Math.max(0, box.top - row, row - box.bottom);
      const bends = (isUpright ? aside > 0 : down > 0) || (aside > 0 && down > 0) ? BENT : 0;
      return 2 * (aside + down) + bends;
    };
    let first = Infinity;
    for (const isUpright of [false, true]) {
      const state = isUpright ? start + half : start;
      seenIn[state] = round;
      cost[state] = 0;
      cameFrom[state] = -1;
      const left = leftFrom(start % columns, Math.floor(start / columns), isUpright);
      if (left <= dearest) (buckets[left] ??= []).push(state);
      first = Math.min(first, left);
    }
    for (let level = first; level < buckets.length; level += 1) {
      const bucket = buckets[level];
      if (!bucket) continue;
      for (let taken = 0; taken < bucket.length; taken += 1) {
        const state: number = bucket[taken] ?? 0;
        const isUpright: boolean = state >= half;
        const at: number = isUpright ? state - half : state;
        const column = at % columns;
        const row = (at - column) / columns;
        const price = cost[state] ?? 0;
        if (price + leftFrom(column, row, isUpright) < level) continue;
        if (goalIn[at] === round) return this.traced(state, half);
        const ownLevel = along[at] ?? -1;
        const ownUpright = along[at + half] ?? -1;
        const mayBend = (ownLevel === -1 || ownLevel === net) && (ownUpright === -1 || ownUpright === net);
        for (let way = 0; way < 4; way += 1) {
          const dx = way === 0 ? 1 : way === 1 ? -1 : 0;
          const dy = way === 2 ? 1 : way === 3 ? -1 : 0;
          if (column + dx < 0 || column + dx >= columns || row + dy < 0 || row + dy >= rows) continue;
          const next = at + dx + dy * columns;
          if (blocked[next] && goalIn[next] !== round) continue;
          const toUpright = dy !== 0;
          const turns = toUpright !== isUpright;
          if (turns && !mayBend) continue;
          const track = along[toUpright ? next + half : next] ?? -1;
          const here = toUpright ? ownUpright : ownLevel;
          if ((track !== -1 && track !== net) || (here !== -1 && here !== net)) continue;
          const across = along[toUpright ? next : next + half] ?? -1;
          const total =
            price +
            2 +
            (turns ? BENT : 0) +
            (across !== -1 && across !== net ? CROSSED : 0) +
            (crowded[next] ? CROWDED : 0);
          const reached = total + leftFrom(column + dx, row + dy, toUpright);
          if (reached > dearest) continue;
          const to = toUpright ? next + half : next;
          if (seenIn[to] === round && (cost[to] ?? 0) <= total) continue;
          seenIn[to] = round;
          cost[to] = total;
          cameFrom[to] = state;
          (buckets[reached] ??= []).push(to);
        }
      }
    }
    return undefined;
  }
  /** The longest free run of a level line between two points. */
  straight(net: number, from: Point, to: Point): readonly Point[] {
    const runs: Point[][] = [[]];
    for (let x = from.x; x <= to.x; x += STEP) {
      const at = this.index({ x, y: from.y });
      const [level, upright] = [this.along[at] ?? -1, this.along[at + this.columns * this.rows] ?? -1];
      const isFree = !this.blocked[at] && (level === -1 || level === net) && (upright === -1 || upright === net);
      if (isFree) runs.at(-1)?.push({ x, y: from.y });
      else runs.push([]);
    }
    return runs.toSorted((a, b) => b.length - a.length)[0] ?? [];
  }
  /** The way straight down to a level, where nothing stands in it and no other net is met; none otherwise. */
  plumb(net: number, from: Point, level: number): readonly Point[] | undefined {
    const path: Point[] = [];
    for (let { y } = from; y <= level; y += STEP) {
      const at = this.index({ x: from.x, y });
      const tracks = [this.along[at] ?? -1, this.along[at + this.columns * this.rows] ?? -1];
      if (this.blocked[at] || this.crowded[at] || tracks.some((other) => other !== -1 && other !== net))
        return undefined;
      path.push({ x: from.x, y });
    }
    return path.length > 1 ? path : undefined;
  }
  private gridBox(points: readonly Point[]) {
    const box = { left: Infinity, right: -Infinity, top: Infinity, bottom: -Infinity };
    for (const { x, y } of points) {
      box.left = Math.min(box.left, x / STEP);
      box.right = Math.max(box.right, x / STEP);
      box.top = Math.min(box.top, y / STEP);
      box.bottom = Math.max(box.bottom, y / STEP);
    }
    return box;
  }
  private index({ x, y }: Point): number {
    return Math.round(y / STEP) * this.columns + Math.round(x / STEP);
  }
  private traced(end: number, half: number): readonly Point[] {
    const points: Point[] = [];
    for (let state = end; state >= 0; state = this.cameFrom[state] ?? -1) {
      const at = state >= half ? state - half : state;
      const point = { x: (at % this.columns) * STEP, y: Math.floor(at / this.columns) * STEP };
      const last = points.at(-1);
      if (!last || last.x !== point.x || last.y !== point.y) points.push(point);
    }
    return points;
  }
  /** Gives the tracks of a path back. */
  release(net: number, points: readonly Point[]): void {
    const half = this.columns * this.rows;
    for (const point of points) {
      const at = this.index(point);
      if (this.along[at] === net) this.along[at] = -1;
      if (this.along[at + half] === net) this.along[at + half] = -1;
    }
  }
  /** How many wires of other nets a path crosses. */
  crossings(net: number, points: readonly Point[]): number {
    const half = this.columns * this.rows;
    return points.filter((point) => {
      const at = this.index(point);
      return [this.along[at] ?? -1, this.along[at + half] ?? -1].some((other) => other !== -1 && other !== net);
    }).length;
  }
  /** Takes both tracks through a point, so that no wire crosses there. */
  pin(net: number, point: Point): void {
    const at = this.index(point);
    this.along[at] = net;
    this.along[at + this.columns * this.rows] = net;
  }
  /** Takes the tracks of a path for its net. */
  claim(net: number, points: readonly Point[]): void {
    const half = this.columns * this.rows;
    const set = (point: Point, upright: boolean) => {
      const at = this.index(point);
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
