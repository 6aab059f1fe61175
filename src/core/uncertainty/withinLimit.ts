import { practice } from '../evidence';
import { errorFunction } from 'simple-statistics';

/** Whether a measured value keeps to a limit, once its uncertainty is taken into account. */
export type LimitVerdict = 'within' | 'outside' | 'cannot-tell';

/** Probability above which a side is taken as settled. */
const SETTLED = practice(0.95);
/** How many standard uncertainties away a limit is settled: the normal distribution's point of that probability. */
export const SETTLED_SPAN = 1.645;

/**
 * Compares a value with a limit. The probability is that of a normal distribution with the given
 * standard uncertainty; with no uncertainty the comparison is exact and the limit itself is within.
 */
export function withinLimit(of: { value: number; standard: number; limit: number; side: 'at-most' | 'at-least' }): {
  verdict: LimitVerdict;
  probability: number;
} {
  const slack = of.side === 'at-most' ? of.limit - of.value : of.value - of.limit;
  const probability = of.standard === 0 ? (slack >= 0 ? 1 : 0) : normalCdf(slack / of.standard);
  const verdict = probability >= SETTLED ? 'within' : probability <= 1 - SETTLED ? 'outside' : 'cannot-tell';
  return { verdict, probability };
}

/** Standard normal distribution function, absolute error below 1.2e-7. */
export function normalCdf(z: number): number {
  return (1 + errorFunction(z / Math.SQRT2)) / 2;
}
