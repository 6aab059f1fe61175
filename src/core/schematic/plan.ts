import type { Point } from './types';

/** A straight piece of wire that is foreseen between parts. */
export interface Piece {
  readonly net: number;
  readonly a: Point;
  readonly b: Point;
  /** The part for whose sake it was foreseen; rails belong to none. */
  readonly owner: string | undefined;
}

/** The wires that are foreseen while parts are set: what a new wire would meet, and what it could be tied to. */
export class Plan {
  private readonly level: Piece[] = [];
  private readonly upright: Piece[] = [];
  private readonly byNet = new Map<number, Piece[]>();

  add(piece: Piece): void {
    if (piece.a.x === piece.b.x && piece.a.y === piece.b.y) return;
    (piece.a.y === piece.b.y ? this.level : this.upright).push(piece);
    const own = this.byNet.get(piece.net);
    if (own) own.push(piece);
    else this.byNet.set(piece.net, [piece]);
  }

  /** A way with one bend at most, by a corner. */
  addWay(net: number, from: Point, corner: Point, to: Point, owner: string): void {
    this.add({ net, a: from, b: corner, owner });
    this.add({ net, a: corner, b: to, owner });
  }

  /** Forgets what was foreseen for a part. */
  drop(owner: string): void {
    for (const pieces of [this.level, this.upright])
      for (let index = pieces.length - 1; index >= 0; index -= 1) {
        const piece = pieces[index];
        if (piece?.owner !== owner) continue;
        pieces.splice(index, 1);
        const own = this.byNet.get(piece.net);
        own?.splice(own.indexOf(piece), 1);
      }
  }

  of(net: number): readonly Piece[] {
    return this.byNet.get(net) ?? [];
  }

  /** How many pieces of other nets a straight way crosses. @param rail how many wires one that carries power counts for */
  crossings(net: number, from: Point, to: Point, rail = 1): number {
    let count = 0;
    if (from.y === to.y) {
      const [low, high] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
      for (const { net: other, a, b, owner } of this.upright)
        if (
          a.x > low &&
          a.x < high &&
          other !== net &&
          a.y < from.y !== b.y < from.y &&
          a.y !== from.y &&
          b.y !== from.y
        )
          count += owner === undefined ? rail : 1;
    } else {
      const [low, high] = [Math.min(from.y, to.y), Math.max(from.y, to.y)];
      for (const { net: other, a, b, owner } of this.level)
        if (
          a.y > low &&
          a.y < high &&
          other !== net &&
          a.x < from.x !== b.x < from.x &&
          a.x !== from.x &&
          b.x !== from.x
        )
          count += owner === undefined ? rail : 1;
    }
    return count;
  }
}
