import { practice } from '../evidence';
import { METER_RESISTANCE } from './limits';

/** What a measured time constant says of a capacitor and its bleeder. Ohms, farads. */
export interface BleedPathCheck {
  /** Resistance across the store by its printed capacitance, the meter's own taken out; Infinity when only the meter bleeds. */
  readonly resistance: number;
  /** Capacitance by the traced bleeder, the meter reckoned in; missing without one. */
  readonly capacitance?: number;
  readonly verdict:
    | 'as-traced'
    | 'bleeder-open'
    | 'capacitor-low'
    | 'bleeder-high'
    | 'something-else-loads'
    | 'no-bleeder-traced';
}

/** A capacitor within this share of its print is what it should be: common tolerance. */
const TOLERANCE = 0.25;
/** Above this share of the meter's own resistance there is no bleeder to speak of. */
const ONLY_THE_METER = practice(0.7);

/**
 * Holds the time constant of a discharge against the printed capacitance and the traced bleeder:
 * R = τ/C with the meter in parallel. A constant much too long means that the bleeder is open; one
 * that is short, that the capacitor lost its capacitance or something else loads it.
 */
export function checkBleedPath(of: { tau: number; capacitance: number; bleed?: number | undefined }): BleedPathCheck {
  const total = of.tau / of.capacitance;
  const resistance = total >= METER_RESISTANCE ? Infinity : (total * METER_RESISTANCE) / (METER_RESISTANCE - total);
  if (of.bleed === undefined) {
    return {
      resistance,
      verdict: total > ONLY_THE_METER * METER_RESISTANCE ? 'bleeder-open' : 'no-bleeder-traced',
    };
  }
  const expected = (of.bleed * METER_RESISTANCE) / (of.bleed + METER_RESISTANCE);
  const capacitance = of.tau / expected;
  const ratio = total / expected;
  const verdict =
    Math.abs(ratio - 1) <= TOLERANCE
      ? ('as-traced' as const)
      : ratio > 1
        ? total > ONLY_THE_METER * METER_RESISTANCE
          ? ('bleeder-open' as const)
          : ('bleeder-high' as const)
        : ratio > 0.3
          ? ('capacitor-low' as const)
          : ('something-else-loads' as const);
  return { resistance, capacitance, verdict };
}
