import { LuDecomposition, Matrix } from 'ml-matrix';
import type { PictureSize, Point } from './pairing';

/** Corners of the board on a picture as shares: top left, top right, bottom right, bottom left. */
export type Corners = readonly [Point, Point, Point, Point];

/** How a picture is made ready: what is cut out and squared, turned over, and how far the copper is raised. */
export interface Preparation {
  /** None: the whole picture. */
  readonly corners?: Corners;
  /** Left and right change places. */
  readonly mirror: boolean;
  /** 0 leaves the colours, 1 raises the copper as far as it goes. */
  readonly contrast: number;
}

export type CornersProblem = 'crossed' | 'too-small';

export const CORNERS_PROBLEM_TEXT: Readonly<Record<CornersProblem, string>> = {
  crossed: 'The four corners cross each other or bend inwards. Put them on the corners of the board, going round.',
  'too-small': 'The four corners take in too little of the picture. Spread them to the corners of the board.',
};

/** Map between two planes seen in perspective, row by row: x' = (a·x + b·y + c) / (g·x + h·y + 1). */
type Homography = readonly number[];

/** A side of the straightened board is at least this share of the picture's. */
const SHORTEST_SIDE = 0.05;

/** Size of the straightened picture in pixels: the longer of each two opposite sides. */
export function preparedSize({ corners }: Preparation, size: PictureSize): PictureSize {
  if (!corners) return size;
  const [p, q, r, s] = corners.map(({ x, y }) => ({ x: x * size.width, y: y * size.height })) as unknown as Corners;
  return {
    width: Math.round(Math.max(distance(p, q), distance(s, r))),
    height: Math.round(Math.max(distance(p, s), distance(q, r))),
  };
}

const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

/** What keeps four corners from being those of a board, if anything: they must go round one way and span enough. */
export function cornersProblem(corners: Corners): CornersProblem | undefined {
  const turns = corners.map((corner, index) => {
    const [next, after] = [corners[(index + 1) % 4] as Point, corners[(index + 2) % 4] as Point];
    return (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x);
  });
  if (!turns.every((turn) => turn > 1e-9)) return 'crossed';
  const isShort = corners.some((corner, index) => distance(corner, corners[(index + 1) % 4] as Point) < SHORTEST_SIDE);
  return isShort ? 'too-small' : undefined;
}

/**
 * Maps between a picture and the one made ready from it, both as shares.
 * The homography through four points, solved as eight linear equations (textbook, from memory).
 */
export function preparationMaps({ corners, mirror }: Pick<Preparation, 'corners' | 'mirror'>): {
  readonly toPrepared: (point: Point) => Point;
  readonly toPicture: (point: Point) => Point;
} {
  const square = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
  ];
  const there = corners ? throughFour(corners, square) : undefined;
  const back = corners ? throughFour(square, corners) : undefined;
  const flip = ({ x, y }: Point) => (mirror ? { x: 1 - x, y } : { x, y });
  return {
    toPrepared: (point) => flip(there ? apply(there, point) : point),
    toPicture: (point) => (back ? apply(back, flip(point)) : flip(point)),
  };
}

function apply([a = 1, b = 0, c = 0, d = 0, e = 1, f = 0, g = 0, h = 0]: Homography, { x, y }: Point): Point {
  const w = g * x + h * y + 1;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

function throughFour(from: readonly Point[], to: readonly Point[]): Homography {
  const rows = from.flatMap(({ x, y }, index) => {
    const { x: u, y: v } = to[index] ?? { x: 0, y: 0 };
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const equations = new LuDecomposition(rows.map((row) => row.slice(0, -1)));
  // Corners on one line span no picture: there is no such map.
  if (equations.isSingular()) return rows.map(() => NaN);
  return equations.solve(Matrix.columnVector(rows.map((row) => row.at(-1) ?? 0))).getColumn(0);
}
