import { practice } from '../evidence';

/** Share of its hot resistance that a filament has cold, and how its current follows the voltage; lamp handbooks, from memory. */
const FILAMENT = { cold: 1 / 13, power: 0.55 } as const;
/** Filament and halogen lamps that are sold, watts. */
const LAMPS = practice([15, 25, 40, 60, 100, 150, 200] as const);
/** A lamp is at least so many times what a supply takes idle, and at most so much of its full input. */
const SIZE = practice({ overIdle: 3, ofFull: 0.5 } as const);

/** A filament lamp of `watts` at `mains` volts, in series with something. */
export interface SeriesLamp {
  readonly watts: number;
  readonly mains: number;
}

/** Watts that pass the lamp when so many volts are left behind it. I = P/V · (V_lamp/V)^0.55. */
export const throughLamp = ({ watts, mains }: SeriesLamp, volts: number): number =>
  volts * (watts / mains) * Math.max(0, (mains - volts) / mains) ** FILAMENT.power;

/** Volts behind the lamp at which most passes it. */
const ripest = ({ mains }: SeriesLamp) => mains / (1 + FILAMENT.power);

/** The most that passes a lamp, watts. */
export const mostThroughLamp = (lamp: SeriesLamp): number => throughLamp(lamp, ripest(lamp));

/**
 * Volts that a load of constant power leaves itself behind a lamp: the upper of the two points where both agree, found by
 * halving; nothing where the lamp does not pass so much.
 */
export function voltsBehindLamp(lamp: SeriesLamp, load: number): number | undefined {
  if (load > mostThroughLamp(lamp)) return undefined;
  let [low, high] = [ripest(lamp), lamp.mains];
  for (let turn = 0; turn < 60; turn += 1) {
    const middle = (low + high) / 2;
    if (throughLamp(lamp, middle) > load) low = middle;
    else high = middle;
  }
  return low;
}

/** Ohms of a lamp, hot and cold. */
export const lampOhms = ({ watts, mains }: SeriesLamp): { readonly hot: number; readonly cold: number } => ({
  hot: mains ** 2 / watts,
  cold: (mains ** 2 / watts) * FILAMENT.cold,
});

/** The lamp for a first power-up: the largest that still limits, at least three times the idle input and at most half of the full one. */
export interface LampChoice {
  readonly lamp: SeriesLamp;
  /** What passes it at most, watts; and into a dead short, amperes. */
  readonly most: number;
  readonly short: number;
  /** The unit takes so little that even the smallest lamp limits it hardly. */
  readonly limitsLittle: boolean;
}

/** @param of volts of the mains; watts taken without a load, and at full load */
export function lampFor({ mains, idle, full }: { mains: number; idle: number; full: number }): LampChoice {
  const fitting = LAMPS.filter((watts) => watts <= SIZE.ofFull * full && watts >= SIZE.overIdle * idle);
  const smallest = LAMPS.find((watts) => watts >= SIZE.overIdle * idle) ?? LAMPS[LAMPS.length - 1] ?? 100;
  const watts = fitting.at(-1) ?? smallest;
  const lamp = { watts, mains };
  return { lamp, most: mostThroughLamp(lamp), short: watts / mains, limitsLittle: fitting.length === 0 };
}
