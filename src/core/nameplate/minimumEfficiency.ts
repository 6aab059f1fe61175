import type { EfficiencyLevel } from './plate';

/**
 * Least average efficiency that a mark promises for a single-output AC-DC supply, as a fraction.
 * Source: International Efficiency Marking Protocol (from memory); low-voltage rows hold under 6 V
 * at 550 mA and more. Level IV holds from 1 W; under that 0.5 per watt is not modelled.
 * @example minimumEfficiency({ level: 'VI', power: 24, voltage: 12, current: 2 }) // 0.862
 */
export function minimumEfficiency(of: {
  level: EfficiencyLevel;
  power: number;
  voltage: number;
  current: number;
}): number {
  const { level, power } = of;
  const ln = Math.log(Math.max(power, 1));
  const low = of.voltage < 6 && of.current >= 0.55;
  if (level === 'IV') return power > 51 ? 0.85 : 0.09 * ln + 0.5;
  if (level === 'V') return low ? Math.min(0.86, 0.075 * ln + 0.561) : power > 49 ? 0.87 : 0.0626 * ln + 0.622;
  if (power > 250) return 0.875;
  if (low) return power > 49 ? 0.87 : 0.0834 * ln - 0.0014 * power + 0.609;
  return power > 49 ? 0.88 : 0.071 * ln - 0.0014 * power + 0.67;
}
