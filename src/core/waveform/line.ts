export interface Line {
  readonly slope: number;
  readonly at0: number;
  /** Standard uncertainty of the slope. */
  readonly slopeUncertainty: number;
}

/** Straight line by least squares; times are taken from the first, so that small spans far from zero stay exact. */
export function lineThrough(x: ArrayLike<number>, y: ArrayLike<number>, from = 0, to = x.length): Line {
  const n = to - from;
  const origin = x[from] ?? 0;
  let [sx, sy, sxx, sxy] = [0, 0, 0, 0];
  for (let index = from; index < to; index += 1) {
    const dx = (x[index] ?? 0) - origin;
    const value = y[index] ?? 0;
    sx += dx;
    sy += value;
    sxx += dx * dx;
    sxy += dx * value;
  }
  const spread = sxx - (sx * sx) / n;
  const slope = spread === 0 ? 0 : (sxy - (sx * sy) / n) / spread;
  const start = (sy - slope * sx) / n;
  let residual = 0;
  for (let index = from; index < to; index += 1)
    residual += ((y[index] ?? 0) - start - slope * ((x[index] ?? 0) - origin)) ** 2;
  const slopeUncertainty = n > 2 && spread > 0 ? Math.sqrt(residual / (n - 2) / spread) : Infinity;
  return { slope, at0: start - slope * origin, slopeUncertainty };
}

/** Running mean over an odd number of samples, one pass. */
export function smoothed(values: Float64Array, width: number): Float64Array {
  const half = Math.max(0, Math.floor(width / 2));
  if (half === 0) return values;
  const sums = new Float64Array(values.length + 1);
  for (let index = 0; index < values.length; index += 1) sums[index + 1] = (sums[index] ?? 0) + (values[index] ?? 0);
  return values.map((_, index) => {
    const from = Math.max(0, index - half);
    const to = Math.min(values.length, index + half + 1);
    return ((sums[to] ?? 0) - (sums[from] ?? 0)) / (to - from);
  });
}
