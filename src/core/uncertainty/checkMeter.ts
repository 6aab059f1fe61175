import { practice } from '../evidence';
import type { Accuracy } from './meterAccuracy';

/** A part whose value is known, and what the meter shows of it; base units, the tolerance as a share. */
export interface KnownPart {
  readonly value: number;
  readonly tolerance: number;
  readonly reading: number;
  /** Weight of the last digit that the meter shows. */
  readonly resolution: number;
}

/** Of a known part of which nothing else is said, such as a metal film resistor. */
export const USUAL_TOLERANCE = practice(0.01);

/** Digits that a display may be off by itself, whatever else it does. */
const LAST_DIGIT = 1;

/**
 * What two known parts, a small one and a large one, say of a meter: the share of the reading and the fixed part that between
 * them cover how far off it was, each part taken at the far end of its own tolerance. A meter is never found better than the
 * parts it was checked with. Straight line through the two worst cases.
 * @returns none when the two are alike, or one is not above zero
 */
export function checkMeter(first: KnownPart, second: KnownPart): Accuracy | undefined {
  const [small, large] = first.value <= second.value ? [first, second] : [second, first];
  if (!(small.value > 0) || large.value < small.value * LEAST_APART) return undefined;
  const worst = ({ value, tolerance, reading }: KnownPart) => Math.abs(reading - value) + tolerance * value;
  const [low, high] = [worst(small), worst(large)];
  const share = Math.max(0, (high - low) / (large.value - small.value), large.tolerance);
  const floor = Math.max(0, low - share * small.value);
  // The display's own digit is told apart from the fixed part that is left when it is taken off.
  const digit = LAST_DIGIT * small.resolution;
  return {
    share: roundedUp(share),
    digits: LAST_DIGIT,
    ...(floor > digit ? { floor: roundedUp(floor - digit) } : {}),
  };
}

/** The large one is at least so many times the small one, else the two tell no more than one. */
export const LEAST_APART = 3;

/** To two digits, never downwards. */
function roundedUp(value: number): number {
  if (value === 0) return 0;
  const unit = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Number((Math.ceil(value / unit - 1e-9) * unit).toPrecision(3));
}
