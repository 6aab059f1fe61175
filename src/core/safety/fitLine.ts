/** A weighted straight line through points, with what its uncertainty needs. */
export interface Line {
  readonly intercept: number;
  readonly slope: number;
  /** Standard deviation of a point of weight 1, from the residuals. */
  readonly scatter: number;
  /** Weighted sum of squared distances of the abscissas from their mean. */
  readonly spread: number;
  readonly mean: number;
  /** Sum of the weights. */
  readonly weight: number;
  readonly count: number;
  /** Weighted sum of squared residuals. */
  readonly squares: number;
}

/** Weighted least squares; weights 1 give the ordinary line of FORMULAS 1.6. Needs two different abscissas. */
export function fitLine(points: readonly { readonly x: number; readonly y: number; readonly weight: number }[]): Line {
  const weight = points.reduce((sum, point) => sum + point.weight, 0);
  const mean = points.reduce((sum, point) => sum + point.weight * point.x, 0) / weight;
  const meanY = points.reduce((sum, point) => sum + point.weight * point.y, 0) / weight;
  const spread = points.reduce((sum, point) => sum + point.weight * (point.x - mean) ** 2, 0);
  const slope = points.reduce((sum, point) => sum + point.weight * (point.x - mean) * (point.y - meanY), 0) / spread;
  const intercept = meanY - slope * mean;
  const squares = points.reduce((sum, { x, y, weight: own }) => sum + own * (y - intercept - slope * x) ** 2, 0);
  const freedom = Math.max(1, points.length - 2);
  return {
    intercept,
    slope,
    scatter: Math.sqrt(squares / freedom),
    spread,
    mean,
    weight,
    count: points.length,
    squares,
  };
}
