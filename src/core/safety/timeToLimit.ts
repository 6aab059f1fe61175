/**
 * Time until a capacitor has bled to a limit, in seconds: t = R·C·ln(V0 / Vlimit).
 * One capacitor, one ohmic resistor (ohms, farads). Ignores dielectric absorption, so it says when
 * to start measuring, never that measuring is unnecessary.
 * @returns 0 when already under the limit, Infinity without a bleed path
 * @example timeToLimit({ start: 325, limit: 50, capacitance: 220e-6, resistance: 100e3 }) // 41.2 s
 */
export function timeToLimit(of: { start: number; limit: number; capacitance: number; resistance: number }): number {
  if (of.start <= of.limit) return 0;
  return of.resistance * of.capacitance * Math.log(of.start / of.limit);
}
