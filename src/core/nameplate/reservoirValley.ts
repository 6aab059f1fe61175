/**
 * How low a reservoir behind a full bridge falls between two peaks, in volts. The bridge recharges it
 * once the mains wave has risen to the valley again: C·(V1² − V2²)/2 = P·(1/(4f) + asin(V2/V1)/(2πf)).
 * Source resistance and the bridge's drop are left out. FORMULAS check F2-9.
 * @param of input power in watts, farads, rms volts, hertz
 * @returns 0 when the charge does not last to the next peak
 * @example reservoirValley({ power: 74.7, capacitance: 100e-6, volts: 90, hertz: 50 }) // 75.5 V
 */
export function reservoirValley(of: { power: number; capacitance: number; volts: number; hertz: number }): number {
  const peak = of.volts * Math.SQRT2;
  const lacks = (valley: number) =>
    (of.capacitance * (peak ** 2 - valley ** 2)) / 2 -
    of.power * (1 / (4 * of.hertz) + Math.asin(valley / peak) / (2 * Math.PI * of.hertz));
  if (lacks(0) <= 0) return 0;
  let [low, high] = [0, peak];
  // What the reservoir can give falls as the valley rises, so halving always closes in.
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (lacks(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}
