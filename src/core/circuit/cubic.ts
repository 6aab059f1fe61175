/** A cubic is not asked whose slopes are so many times its rise. */
const STEEP = 20;

/** Where a cubic that ends on the other side of zero crosses it, as a share of its length; NaN where it does not converge. */
export function crossingOf(g0: number, g1: number, d0: number, d1: number): number {
  if (g0 * g1 > 0) return NaN;
  // Slopes that say something else than the ends are lost in rounding.
  if (Math.abs(d0) + Math.abs(d1) > STEEP * Math.abs(g1 - g0)) return g0 / (g0 - g1);
  let [low, high] = [0, 1];
  let share = g0 === g1 ? 0.5 : g0 / (g0 - g1);
  for (let turn = 0; turn < 40; turn += 1) {
    const value = cubic(share, g0, g1, d0, d1);
    if (value * g0 > 0) low = share;
    else high = share;
    const rest = 1 - share;
    const slope = 6 * share * rest * (g1 - g0) + rest * (1 - 3 * share) * d0 + share * (3 * share - 2) * d1;
    const next = share - value / slope;
    const tamed = next > low && next < high ? next : (low + high) / 2;
    if (Math.abs(tamed - share) < 1e-12) return tamed;
    share = tamed;
  }
  return share;
}

/** A cubic by its ends and their slopes, at a share of its length. */
export function cubic(share: number, y0: number, y1: number, d0: number, d1: number): number {
  const rest = 1 - share;
  return (
    rest * rest * (1 + 2 * share) * y0 + share * share * (3 - 2 * share) * y1 + share * rest * (rest * d0 - share * d1)
  );
}

/** Where a cubic turns between its ends; the rates are times its length. */
export function turningPoint(y0: number, y1: number, a: number, b: number): number | undefined {
  // y' = A·s² + B·s + C.
  const A = 6 * (y0 - y1) + 3 * (a + b);
  const B = -6 * (y0 - y1) - 4 * a - 2 * b;
  const root = B * B - 4 * A * a;
  if (root < 0) return undefined;
  const q = -0.5 * (B + Math.sign(B || 1) * Math.sqrt(root));
  for (const s of [A === 0 ? NaN : q / A, q === 0 ? NaN : a / q]) if (s > 0 && s < 1) return cubic(s, y0, y1, a, b);
  return undefined;
}
