// Root mean square of the currents of a converter; book: Erickson & Maksimovic, appendix on rms values (from memory).

/** Of a trapezoid that flows for a share of the period: its mean while it flows, and its rise or fall. */
export const trapezoidRms = (share: number, mean: number, ripple: number): number =>
  Math.sqrt(share * (mean ** 2 + ripple ** 2 / 12));

/** Of a triangle from nothing to a peak that takes a share of the period. */
export const triangleRms = (share: number, peak: number): number => peak * Math.sqrt(share / 3);

/** What is left of a current once its mean is taken from it. */
export const withoutMean = (rms: number, mean: number): number => Math.sqrt(Math.max(0, rms ** 2 - mean ** 2));
