import { practice } from '../evidence';
/** How a case warms under load. Temperatures in degrees Celsius. */
export interface Warming {
  readonly state: 'rising' | 'steady' | 'falling';
  readonly last: number;
  /** Kelvin above the room at the last reading. */
  readonly rise: number;
  /** Kelvin per minute over the last readings. */
  readonly perMinute: number;
  /** Where it will end, and the time constant in seconds, when the curve already bends. */
  readonly end?: number;
  readonly timeConstant?: number;
}

/** Slower than this counts as steady, over at least so many seconds. */
const STEADY = practice({ kelvinPerMinute: 0.15, over: 240 } as const);
/** The end is guessed only once the run lasted so many time constants. */
const BENT = 0.8;

/**
 * Reads a warming curve: the slope over the last stretch says rising or steady, and a fit of
 * T = end − (end − start)·e^(−t/τ) where it ends. One thermal mass; fans and cut-outs are not modelled.
 * Method: least squares over the two temperatures for each of a row of time constants, the best one kept.
 */
export function fitWarming(
  rows: readonly { readonly time: number; readonly celsius: number }[],
  ambient?: number,
): Warming | undefined {
  const first = rows[0];
  const last = rows.at(-1);
  if (rows.length < 3 || !first || !last) return undefined;
  const stretch = rows.filter(({ time }) => time >= last.time - Math.max(STEADY.over, (last.time - first.time) / 3));
  const begin = stretch.length >= 2 ? stretch[0] : rows.at(-2);
  const seconds = last.time - (begin?.time ?? first.time);
  if (seconds <= 0) return undefined;
  const perMinute = ((last.celsius - (begin?.celsius ?? first.celsius)) / seconds) * 60;
  const slow = Math.abs(perMinute) < STEADY.kelvinPerMinute && seconds >= STEADY.over;
  const curve = fitCurve(rows);
  const bends = curve !== undefined && last.time - first.time >= BENT * curve.timeConstant && curve.end > last.celsius;
  return {
    state: slow ? 'steady' : perMinute > 0 ? 'rising' : 'falling',
    last: last.celsius,
    rise: last.celsius - (ambient ?? first.celsius),
    perMinute,
    ...(bends ? { end: curve.end, timeConstant: curve.timeConstant } : {}),
  };
}

/** Time constants to try: 2 minutes to 2 hours in steps of 5 %. */
const TIME_CONSTANTS = Array.from({ length: 85 }, (_, step) => 120 * 1.05 ** step);

function fitCurve(rows: readonly { time: number; celsius: number }[]) {
  const start = rows[0]?.time ?? 0;
  return TIME_CONSTANTS.map((timeConstant) => {
    const points = rows.map(({ time, celsius }) => ({ x: 1 - Math.exp(-(time - start) / timeConstant), y: celsius }));
    const meanX = points.reduce((sum, { x }) => sum + x, 0) / points.length;
    const meanY = points.reduce((sum, { y }) => sum + y, 0) / points.length;
    const slope =
      points.reduce((sum, { x, y }) => sum + (x - meanX) * (y - meanY), 0) /
      points.reduce((sum, { x }) => sum + (x - meanX) ** 2, 0);
    const base = meanY - slope * meanX;
    const error = points.reduce((sum, { x, y }) => sum + (y - base - slope * x) ** 2, 0);
    return { timeConstant, end: base + slope, error };
  }).sort((a, b) => a.error - b.error)[0];
}
