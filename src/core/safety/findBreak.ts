import { practice } from '../evidence';
import { fitLine } from './fitLine';
import type { TimedReading } from './timedReading';

/** Where a discharge changes its pace. */
export interface Break {
  /** Index of the first reading of the later part. */
  readonly at: number;
  /** Time constants before and after, in seconds. */
  readonly early: number;
  readonly late: number;
  /** Late over early: above 1 the fall slows down. */
  readonly ratio: number;
  /** The later part falls by more than the meter could mistake. */
  readonly lateFalls: boolean;
}

/** A hand on the stopwatch and a meter that samples a few times a second leave at least this relative noise. */
const LEAST_RELATIVE_NOISE = practice(0.003);
/** The break must lower the squared residual, in units of its noise, by so much: about one false alarm in 10,000. */
const CONVINCING = 22;
/** Paces nearer to each other than this are one. */
const SAME_PACE = practice(1.4);

/** Standard deviation of a reading as a share of itself: its last digit, and the hand. */
export function relativeNoise({ voltage, resolution = 0 }: TimedReading): number {
  return Math.hypot(LEAST_RELATIVE_NOISE, resolution / Math.sqrt(12) / voltage);
}

/**
 * Looks for one change of pace: two lines through ln V instead of one, at least two readings each.
 * It is reported only when one line misses the readings by far more than the noise, two do not, and
 * the two paces differ.
 * @param readings in the order of time
 */
export function findBreak(readings: readonly TimedReading[]): Break | undefined {
  if (readings.length < 5) return undefined;
  const points = readings.map((reading) => ({
    x: reading.time,
    y: Math.log(reading.voltage),
    weight: 1 / relativeNoise(reading) ** 2,
  }));
  const whole = fitLine(points).squares;
  const cuts = Array.from({ length: points.length - 3 }, (_, index) => index + 2).map((at) => {
    const [head, tail] = [fitLine(points.slice(0, at)), fitLine(points.slice(at))];
    return { at, head, tail, squares: head.squares + tail.squares };
  });
  const best = cuts.sort((a, b) => a.squares - b.squares)[0];
  if (!best || best.head.slope >= 0) return undefined;
  const perFreedom = Math.max(1, best.squares / Math.max(1, points.length - 4));
  if (!(whole - best.squares > CONVINCING * perFreedom)) return undefined;
  const early = -1 / best.head.slope;
  const late = best.tail.slope < 0 ? -1 / best.tail.slope : Infinity;
  const ratio = late / early;
  if (ratio < SAME_PACE && ratio > 1 / SAME_PACE) return undefined;
  const tailNoise = 1 / Math.sqrt(best.tail.spread);
  return { at: best.at, early, late, ratio, lateFalls: -best.tail.slope > 3 * tailNoise };
}
