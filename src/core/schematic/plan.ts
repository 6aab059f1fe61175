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
  private readonly pieces: Piece[] = [];
  private readonly byNet = new Map<number, Piece[]>();

  add(piece: Piece): void {
    if (piece.a.x === piece.b.x && piece.a.y === piece.b.y) return;
    this.pieces.push(piece);
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
    for (let index = this.pieces.length - 1; index >= 0; index -= 1) {
      const piece = this.pieces[index];
      if (piece?.owner !== owner) continue;
      this.pieces.splice(index, 1);
      const own = this.byNet.get(piece.net);
      own?.splice(own.indexOf(piece), 1);
    }
  }

  of(net: number): readonly Piece[] {
    return this.byNet.get(net) ?? [];
  }

  /** How many pieces of other nets a straight way crosses. @param rail how many wires one that carries power counts for */
  crossings(net: number, from: Point, to: Point, rail = 1): number {
    const isLevel = from.y === to.y;
    const [low, high] = isLevel
      ? [Math.min(from.x, to.x), Math.max(from.x, to.x)]
      : [Math.min(from.y, to.y), Math.max(from.y, to.y)];
    let count = 0;
    for (const { net: other, a, b, owner } of this.pieces) {
      const weight = owner === undefined ? rail : 1;
      if (other === net) continue;
      const runsLevel = a.y === b.y;
      if (runsLevel === isLevel) continue;
      if (isLevel) {
        if (a.x > low && a.x < high && Math.min(a.y, b.y) < from.y && Math.max(a.y, b.y) > from.y) count += weight;
      } else if (a.y > low && a.y < high && Math.min(a.x, b.x) < from.x && Math.max(a.x, b.x) > from.x) count += weight;
    }
    return count;
  }
}
