import { es1CapacitorLimit, METER_LIMIT, SOLDER_LIMIT, TOUCH_LIMIT_DC } from './limits';

export type HazardSeverity = 'danger' | 'warn' | 'note' | 'ok';

export interface HazardBand {
  readonly severity: HazardSeverity;
  /** A few words for the head of a panel. */
  readonly title: string;
  readonly instruction: string;
}

/** Joules from which a store kills, injures, hurts; and burns whatever its volts. */
const JOULES = { kills: 10, injures: 1, hurts: 0.25, burns: 20 } as const;
const OVER = 'over the touch limit';

/**
 * The hazard of a store by its voltage and energy; the first row that fits counts. Energy thresholds:
 * NFPA 70E article 360 pattern and IEC 60950-1 (both from memory) with common practice between.
 */
export const BANDS: readonly (HazardBand & {
  /** When it applies, in words. */
  readonly when: string;
  readonly fits: (store: { voltage: number; energy: number; capacitance: number; touchLimit: number }) => boolean;
})[] = [
  {
    severity: 'danger',
    title: 'can kill',
    when: `${OVER}, from ${JOULES.kills} J`,
    instruction: 'Insulated resistor tool, one hand, face shield. Never short it.',
    fits: ({ voltage, energy, touchLimit }) => voltage > touchLimit && energy >= JOULES.kills,
  },
  {
    severity: 'danger',
    title: 'injures by shock',
    when: `${OVER}, from ${JOULES.injures} J`,
    instruction: 'Use the resistor tool. Never short it: the flash pits the leads and hides an open bleed.',
    fits: ({ voltage, energy, touchLimit }) => voltage > touchLimit && energy >= JOULES.injures,
  },
  {
    severity: 'danger',
    title: 'painful shock',
    when: `${OVER}, from ${JOULES.hurts} J`,
    instruction: 'Use the resistor tool; the jerk of the hand does the harm.',
    fits: ({ voltage, energy, touchLimit }) => voltage > touchLimit && energy >= JOULES.hurts,
  },
  {
    severity: 'warn',
    title: 'shock',
    when: `${OVER} and that of a capacitor of its size`,
    instruction: 'Discharge it before work; the reflex can hurt.',
    fits: ({ voltage, capacitance, touchLimit }) => voltage > touchLimit && voltage > es1CapacitorLimit(capacitance),
  },
  {
    severity: 'note',
    title: 'small charge at high voltage',
    when: OVER,
    instruction: 'Discharge it before work.',
    fits: ({ voltage, touchLimit }) => voltage > touchLimit,
  },
  {
    severity: 'warn',
    title: 'arc and burn',
    when: `under it, from ${JOULES.burns} J`,
    instruction: 'No metal bridge, no rings; use the resistor tool.',
    fits: ({ energy }) => energy >= JOULES.burns,
  },
  {
    severity: 'warn',
    title: 'may be touched, not worked on',
    when: `over ${SOLDER_LIMIT.volts} V`,
    instruction: 'Do not desolder, and keep the meter out of its ohm, capacitance and ESR modes.',
    fits: ({ voltage }) => voltage > SOLDER_LIMIT.volts,
  },
  {
    severity: 'note',
    title: 'may be desoldered',
    when: `over ${METER_LIMIT.volts} V`,
    instruction: 'Bleed it under 1 V before a capacitance, ESR or LCR test.',
    fits: ({ voltage }) => voltage > METER_LIMIT.volts,
  },
  {
    severity: 'note',
    title: 'under 1 V at this reading',
    when: `${METER_LIMIT.volts} V or less`,
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
