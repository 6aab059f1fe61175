import { practice } from '../evidence';
/** A filament lamp by its print. */
export interface FilamentLamp {
  readonly ratedVoltage: number;
  readonly ratedPower: number;
}

export interface LampBleed {
  /** Lamps that must stand in series so that none sees more than the peak it is made for. */
  readonly lamps: number;
  /** Ohms of one lamp, hot and cold. */
  readonly hot: number;
  readonly cold: number;
  /** Amperes at the first touch, into the cold filament. */
  readonly firstCurrent: number;
  readonly timeToTouch: number;
  readonly timeToSolder: number;
  /** The lamp is dark below this many volts of the store, long before it is empty. */
  readonly darkBelow: number;
}

/** A filament's cold resistance is the hot one over this; 12 to 15 is usual. */
const COLD_RATIO = practice(13);
/** Hot resistance grows with voltage to this power; I ∝ V^0.55 for tungsten. */
const EXPONENT = practice(0.45);
/** The glow cannot be seen below this share of the rated voltage. */
const DARK_SHARE = practice(0.18);

/**
 * What happens when filament lamps are put across a charged store: R(V) = Rhot·(V/Vrated)^0.45, never
 * below the cold resistance, integrated over the fall. The filament's own heat capacity is left out,
 * so the start is faster than said.
 */
export function bleedThroughLamp(of: {
  start: number;
  capacitance: number;
  lamp: FilamentLamp;
  touchLimit: number;
  solderLimit: number;
}): LampBleed {
  const { ratedVoltage, ratedPower } = of.lamp;
  const hot = ratedVoltage ** 2 / ratedPower;
  const cold = hot / COLD_RATIO;
  const lamps = Math.max(1, Math.ceil(of.start / (ratedVoltage * Math.SQRT2) - 1e-3));
  const knee = ratedVoltage * COLD_RATIO ** (-1 / EXPONENT);
  const each = of.start / lamps;
  const fall = (to: number) => {
    if (each <= to) return 0;
    const upper = Math.max(to, knee);
    const curved =
      ((of.capacitance * lamps * hot) / EXPONENT) *
      Math.max(0, (each / ratedVoltage) ** EXPONENT - (upper / ratedVoltage) ** EXPONENT);
    const straight = to < knee ? of.capacitance * lamps * cold * Math.log(Math.min(each, knee) / to) : 0;
    return curved + straight;
  };
  return {
    lamps,
    hot,
    cold,
    firstCurrent: each / cold,
    timeToTouch: fall(of.touchLimit / lamps),
    timeToSolder: fall(of.solderLimit / lamps),
    darkBelow: DARK_SHARE * ratedVoltage * lamps,
  };
}
