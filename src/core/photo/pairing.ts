import { practice } from '../evidence';
/** A place on a picture as shares of its width and height, from the top left. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A picture's size in pixels: shares of a wide and of a tall picture are different lengths. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

/** The same spot of the board on its front and on its back. */
export interface Match {
  readonly front: Point;
  readonly back: Point;
}

/** Affine map in pixels: x' = a·x + b·y + c, y' = d·x + e·y + f. */
export type Affine = readonly [number, number, number, number, number, number];

export type PairingProblem = 'on-one-line' | 'not-mirrored' | 'mirrored-twice' | 'skewed';

export const PAIRING_PROBLEM_TEXT: Readonly<Record<PairingProblem, string>> = {
  'on-one-line':
    'The three points lie nearly on one line. Choose three that span the board, like three of its corners.',
  'not-mirrored':
    'The points turn the same way on both pictures, but a back is the mirror image of its front. Are they in the same order, and is one picture flipped?',
  'mirrored-twice':
    'The points turn opposite ways, but one of the pictures was mirrored, so both should turn the same way. Are they in the same order?',
  skewed: 'The three points do not fit one flat board: one of them is likely off. Choose each hole again.',
};

export interface Pairing {
  readonly toBack: Affine;
  readonly toFront: Affine;
  /** How many times larger the back is shown. */
  readonly scale: number;
}

/** A triangle smaller than this share of its longest side squared is too thin to trust. */
const THINNEST = 0.08;
/** The points must span at least this share of the picture's diagonal: a finger's width of error is a large one nearby. */
const SHORTEST = 0.05;
/** One photo may be tilted against the other by so much before a point counts as wrong. */
const MOST_SKEW = practice(1.35);

/**
 * Pairs the front and the back of a board by three spots that show on both, such as mounting holes:
 * the affine map through them, which must be a mirror, since a board is turned over to see its back.
 * The map is exact at the three spots; lens distortion and strong tilt are left out.
 * @param isTurned whether one of the two pictures was mirrored already, so that the map must be none
 */
export function pairPhotos(
  matches: readonly [Match, Match, Match],
  sizes: { front: PictureSize; back: PictureSize },
  isTurned = false,
): { ok: true; pairing: Pairing } | { ok: false; problem: PairingProblem } {
  const front = matches.map((match) => pixels(match.front, sizes.front));
  const back = matches.map((match) => pixels(match.back, sizes.back));
  if (isThin(front, sizes.front) || isThin(back, sizes.back)) return { ok: false, problem: 'on-one-line' };
  const toBack = throughThree(front, back);
  const determinant = toBack[0] * toBack[4] - toBack[1] * toBack[3];
  if (isTurned ? determinant <= 0 : determinant >= 0)
    return { ok: false, problem: isTurned ? 'mirrored-twice' : 'not-mirrored' };
  if (skewOf(toBack) > MOST_SKEW) return { ok: false, problem: 'skewed' };
  return { ok: true, pairing: { toBack, toFront: invert(toBack), scale: Math.sqrt(Math.abs(determinant)) } };
}

/** Where a spot of one picture lies on the other, both as shares; it may lie outside the picture. */
export function mapPoint(map: Affine, point: Point, from: PictureSize, to: PictureSize): Point {
  const { x, y } = apply(map, pixels(point, from));
  return { x: x / to.width, y: y / to.height };
}

function pixels({ x, y }: Point, { width, height }: PictureSize): Point {
  return { x: x * width, y: y * height };
}

function apply([a, b, c, d, e, f]: Affine, { x, y }: Point): Point {
  return { x: a * x + b * y + c, y: d * x + e * y + f };
}

function isThin(points: readonly Point[], size: PictureSize): boolean {
  const [p, q, r] = points as [Point, Point, Point];
  const doubleArea = Math.abs((q.x - p.x) * (r.y - p.y) - (r.x - p.x) * (q.y - p.y));
  const longest = Math.max(
    ...[
      [p, q],
      [q, r],
      [r, p],
    ].map(([a, b]) => ((a?.x ?? 0) - (b?.x ?? 0)) ** 2 + ((a?.y ?? 0) - (b?.y ?? 0)) ** 2),
  );
  const enough = (SHORTEST * Math.hypot(size.width, size.height)) ** 2;
  return !(doubleArea > THINNEST * longest && longest > enough);
}

/** The affine map that takes three points to three others, by Cramer's rule on their edges. */
function throughThree(from: readonly Point[], to: readonly Point[]): Affine {
  const [p, q, r] = from as [Point, Point, Point];
  const [u, v, w] = to as [Point, Point, Point];
  const [qx, qy, rx, ry] = [q.x - p.x, q.y - p.y, r.x - p.x, r.y - p.y];
  const [vx, vy, wx, wy] = [v.x - u.x, v.y - u.y, w.x - u.x, w.y - u.y];
  const area = qx * ry - rx * qy;
  const a = (vx * ry - wx * qy) / area;
  const b = (wx * qx - vx * rx) / area;
  const d = (vy * ry - wy * qy) / area;
  const e = (wy * qx - vy * rx) / area;
  return [a, b, u.x - a * p.x - b * p.y, d, e, u.y - d * p.x - e * p.y];
}

function invert([a, b, c, d, e, f]: Affine): Affine {
  const determinant = a * e - b * d;
  const [ia, ib, id, ie] = [e / determinant, -b / determinant, -d / determinant, a / determinant];
  return [ia, ib, -(ia * c + ib * f), id, ie, -(id * c + ie * f)];
}

/** Ratio of the largest to the smallest stretch of a map: 1 for a pure turn, mirror and zoom. */
function skewOf([a, b, , d, e]: Affine): number {
  const sum = a * a + b * b + d * d + e * e;
  const root = Math.sqrt(Math.max(0, sum * sum - 4 * (a * e - b * d) ** 2));
  return Math.sqrt((sum + root) / Math.max(1e-12, sum - root));
}
