import { es1CapacitorLimit, METER_LIMIT, SOLDER_LIMIT, TOUCH_LIMIT_DC } from './limits';

export type HazardSeverity = 'danger' | 'warn' | 'note' | 'ok';

export interface HazardBand {
  readonly severity: HazardSeverity;
  /** A few words for the head of a panel. */
  readonly title: string;
  readonly instruction: string;
}

/**
 * The hazard of a store by its voltage and energy; the first row that fits counts. Energy thresholds:
 * NFPA 70E article 360 pattern and IEC 60950-1 (both from memory) with common practice between.
 */
export const BANDS: readonly (HazardBand & {
  readonly fits: (store: { voltage: number; energy: number; capacitance: number; touchLimit: number }) => boolean;
})[] = [
  {
    severity: 'danger',
    title: 'can kill',
    instruction: 'Insulated resistor tool, one hand, face shield. Never short it.',
    fits: ({ voltage, energy, touchLimit }) => voltage > touchLimit && energy >= 10,
  },
  {
    severity: 'danger',
    title: 'injures by shock',
    instruction: 'Use the resistor tool. Never short it: the flash pits the leads and hides an open bleed.',
    fits: ({ voltage, energy, touchLimit }) => voltage > touchLimit && energy >= 1,
  },
  {
    severity: 'danger',
    title: 'painful shock',
    instruction: 'Use the resistor tool; the jerk of the hand does the harm.',
    fits: ({ voltage, energy, touchLimit }) => voltage > touchLimit && energy >= 0.25,
  },
  {
    severity: 'warn',
    title: 'shock',
    instruction: 'Discharge it before work; the reflex can hurt.',
    fits: ({ voltage, capacitance, touchLimit }) => voltage > touchLimit && voltage > es1CapacitorLimit(capacitance),
  },
  {
    severity: 'note',
    title: 'small charge at high voltage',
    instruction: 'Discharge it before work.',
    fits: ({ voltage, touchLimit }) => voltage > touchLimit,
  },
  {
    severity: 'warn',
    title: 'arc and burn',
    instruction: 'No metal bridge, no rings; use the resistor tool.',
    fits: ({ energy }) => energy >= 20,
  },
  {
    severity: 'warn',
    title: 'may be touched, not worked on',
    instruction: 'Do not desolder, and keep the meter out of its ohm, capacitance and ESR modes.',
    fits: ({ voltage }) => voltage > SOLDER_LIMIT.volts,
  },
  {
    severity: 'note',
    title: 'may be desoldered',
    instruction: 'Bleed it under 1 V before a capacitance, ESR or LCR test.',
    fits: ({ voltage }) => voltage > METER_LIMIT.volts,
  },
  {
    severity: 'note',
    title: 'under 1 V at this reading',
    instruction: 'Read again after five minutes: a store can recover.',
    fits: () => true,
  },
];

/**
 * The hazard band of a store. Volts (sign ignored), farads, joules; when unsure pass the upper
 * bounds. It never says `ok`: only a second low reading does (see `storeState`).
 */
export function hazardBand(store: {
  voltage: number;
  energy: number;
  capacitance: number;
  touchLimit?: number;
}): HazardBand {
  const size = { touchLimit: TOUCH_LIMIT_DC.volts, ...store, voltage: Math.abs(store.voltage) };
  const band = BANDS.find(({ fits }) => fits(size)) as (typeof BANDS)[number];
  return { severity: band.severity, title: band.title, instruction: band.instruction };
}
