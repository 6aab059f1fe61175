import type { PictureSize, Point } from './pairing';

/** Part of a picture, in shares of its width and height. */
export interface Crop {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** A part is shown with so many times its pins' reach around it, and never less than this share of the width. */
const AROUND = 2.2;
const LEAST_SHARE = 0.14;

/**
 * The part of a picture around some spots, in the shape asked for; all of the width at most, and within the picture
 * where it fits.
 * @param spots in shares of width and height; one at least
 * @param shape width over height of the crop
 */
export function cropAround(spots: readonly Point[], picture: PictureSize, shape: number): Crop {
  const reach = (values: readonly number[]) => ({ low: Math.min(...values), high: Math.max(...values) });
  const [x, y] = [reach(spots.map((spot) => spot.x)), reach(spots.map((spot) => spot.y))];
  const tall = picture.height / picture.width;
  const needed = Math.max(x.high - x.low, (y.high - y.low) * tall * shape);
  const width = Math.min(1, Math.max(LEAST_SHARE, AROUND * needed));
  const height = width / shape / tall;
  const within = (middle: number, span: number) =>
    span >= 1 ? (1 - span) / 2 : Math.min(1 - span, Math.max(0, middle - span / 2));
  return { left: within((x.low + x.high) / 2, width), top: within((y.low + y.high) / 2, height), width, height };
}
