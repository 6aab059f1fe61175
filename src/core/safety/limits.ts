import { practice } from '../evidence';
import type { StationName } from '../station';

/** Limits of touch and hazard. Standards are quoted from memory; check them before relying on one. */

/** Touch limit for DC. Source: IEC 62368-1, ES1 (from memory). */
export const TOUCH_LIMIT_DC = { volts: 60, cite: 'IEC 62368-1, ES1, from memory' } as const;

/** Touch limits that a person may hold to: the standard's, or the lower one that some shops and schools keep. */
export const TOUCH_LIMIT_CHOICES = [60, 50] as const;

/** Below this, parts may be desoldered. */
export const SOLDER_LIMIT = practice({ volts: 5, cite: 'common practice' } as const);

/** Below this, a meter may be put in ohm, capacitance or ESR mode. */
export const METER_LIMIT = practice({ volts: 1, cite: 'common practice' } as const);

/** Volts under which a store is no hindrance: a soldering tip stands more than a meter in its ohm modes. */
export const limitAt = (station: StationName): number =>
  station === 'harvest' ? SOLDER_LIMIT.volts : METER_LIMIT.volts;

/**
 * Highest direct voltage that hand meters measure, and up to which meters and leads for mains work are rated.
 * Source: IEC 61010-2-033 and IEC 61010-031, whose categories end at 1000 V (from memory).
 */
export const METER_CEILING = { volts: 1000, cite: 'IEC 61010-2-033, from memory' } as const;
/** Above this a meter and leads for mains work are wanted, not any meter. */
export const METER_RATING_FROM = practice(250);

/** Wait before the second reading that looks for dielectric-absorption rebound. */
export const REBOUND_WAIT_SECONDS = practice(300);

/** A pause longer than this between readings by the clock begins a new discharge. */
export const RUN_GAP_SECONDS = practice(2 * 3600);

/** Share of the first voltage that may come back in an aluminium electrolytic. */
export const REBOUND_SHARE = practice({ low: 0.01, high: 0.1 } as const);

/** Upper tolerance of a capacitor in a safety figure. */
export const CAPACITANCE_UPPER = practice(1.2);

/**
 * Voltage at which a single charged capacitor stays within ES1, by capacitance in farads: between
 * rows the larger capacitance counts. Source: IEC 62368-1 table 5 (from memory).
 */
export const ES1_CAPACITOR_TABLE: readonly { readonly capacitance: number; readonly volts: number }[] = [
  { capacitance: 300e-9, volts: 60 },
  { capacitance: 170e-9, volts: 75 },
  { capacitance: 91e-9, volts: 100 },
  { capacitance: 61e-9, volts: 125 },
  { capacitance: 41e-9, volts: 150 },
  { capacitance: 28e-9, volts: 200 },
  { capacitance: 18e-9, volts: 250 },
  { capacitance: 12e-9, volts: 350 },
  { capacitance: 8e-9, volts: 500 },
  { capacitance: 4e-9, volts: 1000 },
];

/** The ES1 limit for a capacitor of this size, in volts. */
export function es1CapacitorLimit(capacitance: number): number {
  return (
    [...ES1_CAPACITOR_TABLE].reverse().find((row) => capacitance <= row.capacitance * (1 + 1e-9))?.volts ??
    TOUCH_LIMIT_DC.volts
  );
}

/** Input resistance of a usual multimeter on its voltage ranges, in ohms: it bleeds too. */
export const METER_RESISTANCE = practice(10e6);
