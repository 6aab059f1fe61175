import { practice } from '../evidence';

/** How far a replacement may stand from what failed; each is a share of the failed part's value unless it says else. */
export const BOUNDS = practice({
  /** A mean current of a rectifier, a fuse apart. */
  mean: 0.7,
  onResistance: { good: 1.25, most: 2 },
  gateCharge: { good: 1.5, most: 2.5, least: 0.3 },
  drop: 1.12,
  /** Watts more in one part that are felt; kelvin more in a junction. */
  moreHeat: 0.3,
  warmer: { good: 12, most: 60 },
  /** A back of plastic lets through so much worse, kelvin a watt, where both resistances are not given. */
  plasticBack: 3,
  varistor: 1.12,
  /** Of the difference between turn-on and turn-off, with a start-up resistor. */
  hysteresis: 0.6,
  recovery: { good: 1.5, most: 3 },
  esr: { good: 1.3, most: 2, least: 0.3 },
  capacitance: { least: 0.9, worst: 0.75, good: 1.5, bulk: 1.5, most: 2.2 },
  film: { near: 0.12, far: 0.5 },
  resonant: { near: 0.03, far: 0.06 },
  resistance: { near: 0.03, far: 0.1 },
  shunt: { near: 0.03, far: 0.1 },
  zener: { near: 0.03, far: 0.06 },
  gain: { least: 0.5, most: 2.5 },
  inductance: { near: 0.1, far: 0.35 },
  /** Mains with its tolerance. */
  mainsHigh: 1.1,
} as const);
