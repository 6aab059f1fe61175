import type { MeterQuantity } from './protocol';

/** Full scales of a 6,000-count meter by quantity, and what it cannot read beyond. */
const RANGES: Readonly<Record<MeterQuantity, readonly number[]>> = {
  volt: [0.6, 6, 60, 600, 1000],
  ohm: [600, 6e3, 60e3, 600e3, 6e6, 60e6],
  continuity: [600],
  diode: [3],
  farad: [60e-9, 600e-9, 6e-6, 60e-6, 600e-6, 6e-3],
};
const COUNTS = 6000;
/** Scatter of its last digit, and what it is off as a share of the reading. */
const NOISE_COUNTS = 0.6;
const GAIN = 1.002;
const OVER_RANGE = '9.9E37';

/**
 * What a 6,000-count meter answers for a true value: the smallest range that holds it, noise of about
 * half a digit, a gain error of 0.2 %, rounded to the last digit. Infinity and what exceeds the
 * largest range is over range.
 * @param truth in SI units
 * @param gaussian a draw from the standard normal distribution
 */
export function simulateAnswer(quantity: MeterQuantity, truth: number, gaussian: () => number): string {
  const ranges = RANGES[quantity];
  const range = ranges.find((full) => Math.abs(truth) < full);
  if (range === undefined) return OVER_RANGE;
  const digit = range === 1000 ? 1 : range / COUNTS;
  const counts = Math.round((truth * GAIN) / digit + NOISE_COUNTS * gaussian());
  const value = counts * digit;
  const exponent = value === 0 ? Math.floor(Math.log10(digit)) : Math.floor(Math.log10(Math.abs(value)));
  const decimals = Math.max(0, Math.round(exponent - Math.log10(digit)));
  const text = value.toExponential(decimals).replace('e', 'E');
  return value < 0 ? text : `+${text}`;
}

/** A store of the simulated bench: volts when the leads first touch it, farads, and its own bleeder in ohms. */
export interface SimulatedStore {
  readonly start: number;
  readonly capacitance: number;
  /** Infinity when the bleeder is open. */
  readonly bleed: number;
  /** Share of the first voltage that its dielectric gives back in the end. */
  readonly absorbs: number;
}

/** The meter's own resistance loads what it reads. */
const METER_OHMS = 10e6;

/** Volts of a store so many seconds after the leads first touched it. */
export function storeVoltage(store: SimulatedStore, seconds: number): number {
  const resistance = 1 / (1 / store.bleed + 1 / METER_OHMS);
  const tau = resistance * store.capacitance;
  const rest = store.start * store.absorbs * Math.min(1, seconds / (10 * tau));
  // The dielectric's share leaks away too, some fifty times slower.
  return store.start * Math.exp(-seconds / tau) + rest * Math.exp(-seconds / (50 * tau));
}
