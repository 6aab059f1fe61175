import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { METER_LIMIT, SOLDER_LIMIT, TOUCH_LIMIT_DC } from './limits';
import { storedEnergy } from './storedEnergy';
import { timeToLimit } from './timeToLimit';

export interface BleedPlan {
  /** Ohms of the tool. */
  readonly resistance: number;
  /** Watts at the first moment. */
  readonly initialPower: number;
  /** Amperes at the first moment. */
  readonly initialCurrent: number;
  /** Joules that end in the resistor. */
  readonly energy: number;
  /** Seconds. */
  readonly timeConstant: number;
  readonly timeToTouch: number;
  readonly timeToSolder: number;
  readonly timeToMeter: number;
  /** How many equal resistors in series share the voltage; each is `resistance / pieces`. */
  readonly pieces: number;
  /** Smallest usual wirewound rating in watts of each piece that takes the pulse; none when even 50 W does not. */
  readonly wirewound?: number;
}

/**
 * Volts that one usual power resistor stands, whatever it dissipates (FORMULAS 1.4: 1 to 5 W 500 V), and the volts up to
 * which a chain of them is a tool for a hand: above, meters, leads and clips end as well.
 */
export const RESISTOR_VOLTS = practice({ each: 500, chain: 1000 } as const);

/** Usual wirewound ratings in watts. */
const WIREWOUND_RATINGS = [3, 5, 10, 25, 50] as const;
/** Usual preferred values for a tool, ohms: E6 with a wide choice. */
const E6 = [1, 1.5, 2.2, 3.3, 4.7, 6.8] as const;
/**
 * A wirewound part takes ten times its rating at the first moment and 6.25 times its rating over
 * five seconds as energy. Source: common practice, after the overload test of IEC 60115-1 (from memory).
 */
const OVERLOAD = { initial: 10, pulse: 6.25 * 5 } as const;
/** A tool feels right when the store is empty in a few seconds. */
const COMFORTABLE_TIME_CONSTANT = practice({ shortest: 0.2, longest: 1 } as const);

/**
 * What happens when a resistor is put across a charged store: first power and current, energy, and
 * the time to the limits of touch, soldering and metering. Volts, farads, ohms.
 * @example bleedThrough({ start: 325, capacitance: 150e-6, resistance: 2200 }).initialPower // 48.0 W
 */
export function bleedThrough(of: {
  start: number;
  capacitance: number;
  resistance: number;
  touchLimit?: number;
}): BleedPlan {
  const pieces = Math.max(1, Math.ceil(of.start / RESISTOR_VOLTS.each));
  const initialPower = of.start ** 2 / of.resistance;
  const energy = storedEnergy({ capacitance: of.capacitance, voltage: of.start });
  const wirewound = WIREWOUND_RATINGS.find(
    (rating) => initialPower <= OVERLOAD.initial * rating * pieces && energy <= OVERLOAD.pulse * rating * pieces,
  );
  return {
    resistance: of.resistance,
    initialPower,
    initialCurrent: of.start / of.resistance,
    energy,
    timeConstant: of.resistance * of.capacitance,
    timeToTouch: timeToLimit({ ...of, limit: of.touchLimit ?? TOUCH_LIMIT_DC.volts }),
    timeToSolder: timeToLimit({ ...of, limit: SOLDER_LIMIT.volts }),
    timeToMeter: timeToLimit({ ...of, limit: METER_LIMIT.volts }),
    pieces,
    ...(wirewound === undefined ? {} : { wirewound }),
  };
}

/**
 * A resistor for the tool: the preferred value with the smallest part that takes the pulse, and of
 * those the quickest, with a time constant between 0.2 and 1 s where one exists. Small stores take
 * a tool of at most 100 kΩ instead. Above 500 V it is a chain of equal resistors.
 * @returns undefined above 1 kV, where usual resistors make no tool for a hand
 */
export function suggestBleed(of: { start: number; capacitance: number; touchLimit?: number }): BleedPlan | undefined {
  if (of.start > RESISTOR_VOLTS.chain) return undefined;
  const pieces = Math.max(1, Math.ceil(of.start / RESISTOR_VOLTS.each));
  const values = [1, 10, 100, 1e3, 1e4].flatMap((decade) => E6.map((step) => step * decade * 10)).concat(1e5);
  const plans = values.map((resistance) => bleedThrough({ ...of, resistance: resistance * pieces }));
  const comfortable = plans.filter(
    ({ timeConstant, wirewound }) =>
      wirewound !== undefined &&
      timeConstant >= COMFORTABLE_TIME_CONSTANT.shortest &&
      timeConstant <= COMFORTABLE_TIME_CONSTANT.longest,
  );
  const largest = bleedThrough({ ...of, resistance: 1e5 * pieces });
  const [best] = comfortable.toSorted(
    (a, b) => (a.wirewound ?? 0) - (b.wirewound ?? 0) || a.timeConstant - b.timeConstant,
  );
  // Under the limit of touch nothing hurries: a small resistor carries a supercapacitor's charge away for good.
  if (of.start <= (of.touchLimit ?? TOUCH_LIMIT_DC.volts) && (best?.wirewound ?? Infinity) > EASY_WATTS.least)
    return enduring(plans) ?? largest;
  return (
    best ?? (largest.timeConstant < COMFORTABLE_TIME_CONSTANT.shortest ? largest : (slowestThatHolds(plans) ?? largest))
  );
}

/** Watts of the small wirewound part that every drawer holds, and the most one would fetch where there is no hurry. */
const EASY_WATTS = practice({ small: 3, least: 5 } as const);

/** The quickest resistor whose first power its small part carries for good. */
function enduring(plans: readonly BleedPlan[]): BleedPlan | undefined {
  const [quickest] = plans
    .filter(({ initialPower }) => initialPower <= EASY_WATTS.small)
    .toSorted((a, b) => a.timeConstant - b.timeConstant);
  return quickest && { ...quickest, wirewound: EASY_WATTS.small };
}

function slowestThatHolds(plans: readonly BleedPlan[]): BleedPlan | undefined {
  return plans.filter(({ wirewound }) => wirewound !== undefined).sort((a, b) => a.timeConstant - b.timeConstant)[0];
}

/**
 * The largest resistor that brings a store under a limit in the given time, in ohms:
 * R = t / (C·ln(V0/Vlimit)).
 */
export function largestBleed(of: { start: number; limit: number; capacitance: number; within: number }): number {
  return of.within / (of.capacitance * Math.log(of.start / of.limit));
}

/** A tool in words, like `2.2 kΩ, 5 W wirewound` or `2 × 10 kΩ, 3 W wirewound, in series`. */
export function bleedToolText({ resistance, pieces, wirewound }: BleedPlan): string {
  const each = formatQuantity(resistance / pieces, 'ohm');
  const size = wirewound === undefined ? '' : `, ${wirewound} W wirewound`;
  return pieces === 1 ? `${each}${size}` : `${pieces} × ${each}${size}, in series`;
}
