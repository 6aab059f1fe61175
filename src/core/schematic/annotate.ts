import { wordBox } from './labels';
import { shifted, wordsAt } from './boxes';
import type { Box, Point, Schematic } from './types';

/** A mark beside a part. */
export interface PartMark extends Point {
  readonly ref: string;
}

/** A tag at a wire: its box, and the point of the wire that it speaks of. */
export interface WireTag {
  readonly text: string;
  readonly box: Box;
  readonly tip: Point;
}

/** Half the width and height of a mark. */
const HALF = 8;
const TAG = { letter: 7.3, pad: 5, high: 18, away: 7 } as const;

/** Where small marks and tags find room on a drawing without covering anything of it; what is placed takes room itself. */
export class Annotator {
  private readonly taken: Box[];
  constructor(private readonly schematic: Schematic) {
    const { symbols, labels, wires } = schematic;
    this.taken = [
      ...symbols.flatMap((placed) => [shifted(placed.symbol.body, placed.at), wordsAt(placed)]),
      ...labels.map((label) => (label.text === '' ? around(label.at, HALF) : wordBox(label))),
      ...wires.flatMap(({ points }) => segments(points).map(([a, b]) => thin(a, b))),
    ];
  }

  /** Middle of a free place beside a part, the nearest to its upper left; over its corner where nothing is free. */
  markAt(ref: string): PartMark | undefined {
    const placed = this.schematic.symbols.find((symbol) => symbol.ref === ref);
    if (!placed) return undefined;
    const { left, top, right, bottom } = shifted(placed.symbol.body, placed.at);
    const spots: Point[] = [];
    for (const away of [HALF + 2, HALF + 12, HALF + 24])
      for (const along of [0.1, 0.5, 0.9]) {
        const [x, y] = [left + along * (right - left), top + along * (bottom - top)];
        spots.push({ x: left - away, y }, { x, y: top - away }, { x: right + away, y }, { x, y: bottom + away });
      }
    const at = spots.find((spot) => this.isFree(around(spot, HALF))) ?? { x: left, y: top };
    this.taken.push(around(at, HALF));
    return { ref, ...at };
  }

  /** A free place for a tag at the wires of a net, those of the power path first. */
  tagOn(net: number, text: string): WireTag | undefined {
    const width = text.length * TAG.letter + 2 * TAG.pad;
    const own = this.schematic.wires
      .filter((wire) => wire.net === net)
      .toSorted((a, b) => Number(b.isPower) - Number(a.isPower));
    const spots = own.flatMap(({ points }) =>
      segments(points).flatMap(([a, b]) =>
        [0.5, 0.25, 0.75, 0.1, 0.9].flatMap((share) => {
          const tip = { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
          return a.y === b.y
            ? [
                boxFrom(tip.x - width / 2, tip.y - TAG.away - TAG.high, width),
                boxFrom(tip.x - width / 2, tip.y + TAG.away, width),
              ].map((box) => ({ tip, box }))
            : [
                boxFrom(tip.x - TAG.away - width, tip.y - TAG.high / 2, width),
                boxFrom(tip.x + TAG.away, tip.y - TAG.high / 2, width),
              ].map((box) => ({ tip, box }));
        }),
      ),
    );
    const spot = spots.find(({ box }) => this.isFree(box) && box.top > 0 && box.left > 0);
    if (!spot) return undefined;
    this.taken.push(spot.box);
    return { text, ...spot };
  }

  private isFree(box: Box): boolean {
    return !this.taken.some(
      (other) => box.left < other.right && other.left < box.right && box.top < other.bottom && other.top < box.bottom,
    );
  }
}

const around = ({ x, y }: Point, half: number): Box => ({
  left: x - half,
  right: x + half,
  top: y - half,
  bottom: y + half,
});
const boxFrom = (left: number, top: number, width: number): Box => ({
  left,
  top,
  right: left + width,
  bottom: top + TAG.high,
});
const segments = (points: readonly Point[]): readonly (readonly [Point, Point])[] =>
  points.slice(1).map((point, index) => [points[index] ?? point, point] as const);
const thin = (a: Point, b: Point): Box => ({
  left: Math.min(a.x, b.x) - 2,
  right: Math.max(a.x, b.x) + 2,
  top: Math.min(a.y, b.y) - 2,
  bottom: Math.max(a.y, b.y) + 2,
});
