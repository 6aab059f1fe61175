import { practice } from '../evidence';
/**
 * What a converter that still runs draws from its reservoir, in watts: V² falls in a straight line, so
 * P = C·(V1² − V2²) / (2·Δt). FORMULAS 1.5, derived.
 * @example constantPowerLoad({ capacitance: 150e-6, from: 325, to: 80, seconds: 3.72 }) // 2 W
 */
export function constantPowerLoad(of: { capacitance: number; from: number; to: number; seconds: number }): number {
  return (of.capacitance * (of.from ** 2 - of.to ** 2)) / (2 * of.seconds);
}

/** Seconds that a constant power takes to bring a store from one voltage to another; 0 when it is there already. */
export function timeAtConstantPower(of: { capacitance: number; from: number; to: number; watts: number }): number {
  return Math.max(0, (of.capacitance * (of.from ** 2 - of.to ** 2)) / (2 * of.watts));
}

/** Below about this a converter's supply gives up and it stops dead, leaving the rest. */
export const CONVERTER_STOPS_NEAR = practice(80);
