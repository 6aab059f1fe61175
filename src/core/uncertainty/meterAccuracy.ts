import { practice } from '../evidence';
import type { Unit } from '../quantity';

/** A meter's accuracy: so many per cent of the reading plus so many of its last digit. */
export interface Accuracy {
  readonly share: number;
  readonly digits: number;
  /** A fixed part in the base unit, such as the contact resistance of a two-wire ESR tester. */
  readonly floor?: number;
}

/** Assumed when the person names no instrument. Where nothing else is said */
export const DEFAULT_ACCURACY = practice({
  dcVolt: { share: 0.005, digits: 2 },
  ohm: { share: 0.008, digits: 3 },
  capacitance: { share: 0.04, digits: 5 },
  current: { share: 0.012, digits: 3 },
  diode: { share: 0.015, digits: 3 },
  // Two leads add some milliohms; what else it leaves open shows in its last digit.
  esr: { share: 0.1, digits: 3, floor: 0.005 },
  inductance: { share: 0.05, digits: 5 },
  temperature: { share: 0, digits: 0, floor: 2 },
  /** IEC 61557-2 allows an insulation tester 30 % in use; from memory. */
  insulation: { share: 0.3, digits: 0 },
} as const satisfies Readonly<Record<string, Accuracy>>);

/** What the readings of each are in. */
export const ACCURACY_UNIT = {
  dcVolt: 'volt',
  ohm: 'ohm',
  capacitance: 'farad',
  current: 'ampere',
  diode: 'volt',
  esr: 'ohm',
  inductance: 'henry',
  temperature: 'celsius',
  insulation: 'ohm',
} as const satisfies Readonly<Record<keyof typeof DEFAULT_ACCURACY, Unit>>;

export interface Uncertainty {
  /** Limit of error, in the unit of the reading. */
  readonly limit: number;
  /** Standard uncertainty: limit / √3 (rectangular). */
  readonly standard: number;
  /** Expanded uncertainty for about 95 %: twice the standard one. */
  readonly expanded: number;
}

/**
 * Uncertainty of one reading from the meter's accuracy, in the unit of the reading.
 * Method: JCGM 100 (GUM), rectangular distribution between ±limit, coverage factor 2.
 * @example uncertaintyOf({ reading: 12.34, resolution: 0.01, accuracy: DEFAULT_ACCURACY.dcVolt }).limit // 0.0817
 */
export function uncertaintyOf(of: { reading: number; resolution: number; accuracy: Accuracy }): Uncertainty {
  const { reading, resolution, accuracy } = of;
  const limit = Math.abs(reading) * accuracy.share + resolution * accuracy.digits + (accuracy.floor ?? 0);
  const standard = limit / Math.sqrt(3);
  return { limit, standard, expanded: 2 * standard };
}
