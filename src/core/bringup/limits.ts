import { practice } from '../evidence';
import type { NameplateOutput } from '../nameplate';

/** What a rail may be. Shares of its voltage. */
export interface RailLimits {
  readonly tolerance: number;
  /** Beyond this it is no matter of taste: over it may kill what hangs on it. */
  readonly stop: number;
  readonly from: string;
}

/** ±5 %, and −12 V ±10 %: ATX12V design guide, from memory. Single outputs are held to the same. */
const GUIDE = 'ATX12V design guide, from memory';
export function railLimits({ v, ac }: NameplateOutput): RailLimits {
  if (ac) return { tolerance: 0.2, stop: 0.35, from: 'an iron transformer without a load; common practice, no source' };
  if (v < 0) return { tolerance: 0.1, stop: 0.2, from: `−12 V ± 10 % by the ${GUIDE}` };
  return { tolerance: 0.05, stop: 0.1, from: `± 5 % as in the ${GUIDE}` };
}

/** Ripple from peak to peak. Source: ATX12V design guide, from memory; other rails 1 %, common practice. */
export function rippleLimit(volts: number): { readonly volts: number; readonly from: string } {
  const size = Math.abs(volts);
  if (size <= 5.5) return { volts: 0.05, from: `50 mV up to 5 V: ${GUIDE}` };
  if (Math.abs(size - 12) < 1) return { volts: 0.12, from: `120 mV at 12 V: ${GUIDE}` };
  return { volts: 0.01 * size, from: '1 % of the rail: common practice, no source' };
}

/** What is right when a cold unit is measured. Ohms. */
export const COLD = practice({
  /** Between line and neutral, at least; and under this a short is left. */
  inlet: 100e3,
  inletShort: 10e3,
  /** The primary of an iron transformer, and what is a short even there. */
  primary: { low: 3, high: 5e3, short: 2 },
  /** Across the bulk, once it has charged from the meter. */
  bulk: 100e3,
  bulkShort: 1e3,
  /** An output reads so many times the ohms of its full load, and under so many it is shorted. */
  outputTimes: 100,
  outputShortTimes: 5,
  outputUnknown: 1e3,
  outputUnknownShort: 10,
  /** From the mains side to the output, and from the earth pin to the case. */
  insulation: 2e6,
  earth: 0.5,
  earthBad: 1,
  /** A reading of a known resistor may be off by so much. */
  spread: 0.15,
});

/** The bench supply that stands in for the mains. */
export const BENCH = practice({
  bulkLow: 60,
  bulkHigh: 100,
  bulkLimit: 0.1,
  bulkRight: 0.06,
  supplyRight: 0.03,
  supplyLimit: 0.06,
  overStart: 1.5,
  underMost: 1,
  span: 2.5,
});

/** How far the bulk may be from the crest of the mains. */
export const CREST = practice({ low: 0.85, high: 1.1, correctedLow: 360, correctedHigh: 410 } as const);

/** The filament lamp that loads a dimmer: many want so much before they fire. */
export const CONTROLLER_LAMP = practice(60);

/** Loads as shares of the printed current, and the share for the run under heat with its minutes. */
export const LOADS = practice({ least: 0.1, steps: [0.5, 1], heat: 0.75, minutes: 30 } as const);
/** Rails that are read at each load. */
export const RAILS_LOADED = practice(3);

/** Degrees that a part may reach in the run under heat, and over which it is ended. */
export const HEAT = practice({
  mainSwitch: { right: 90, stop: 110, name: 'the tab of the switch' },
  outputRectifier: { right: 100, stop: 115, name: 'the tab of the rectifier' },
  transformer: { right: 95, stop: 115, name: 'the transformer' },
  outputCapacitor: { right: 75, stop: 90, name: 'the output can' },
} as const);

/** Sizes of isolation transformers, volt-amperes, and of fuses by IEC 60127, amperes; both from memory. */
export const TRANSFORMERS = [50, 100, 150, 200, 250, 300, 400, 500, 630, 750, 1000, 1500, 2000] as const;
export const FUSES = [
  0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8, 10,
] as const;
/** How much of its volt-amperes a supply without correction turns into watts. */
export const POWER_FACTOR = practice({ plain: 0.6, corrected: 0.95 } as const);
