import { formatQuantity, type Unit } from '../quantity';
import { practice } from '../evidence';
import { hazardOf } from './say';
import type { Design } from './search';
import { isPaired, type DesignSpec } from './spec';

/** One step of the first power-up of a converter that was built. */
export interface BuiltStep {
  readonly text: string;
  /** What must be seen before the next one. */
  readonly expect: string;
}

const RULES = practice({
  /** The bench supply is limited to so much of the input current at full load; at first to so many amperes. */
  limit: 1.3,
  first: 0.15,
  /** The output is right within so much. */
  right: 0.03,
  /** Loads in their order, as shares of the full one, and minutes at each. */
  loads: [0.1, 0.5, 1],
  minutes: [1, 5, 20],
  warm: 90,
});

const q = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 2 });

/**
 * The steps of its first power-up, with this design's own numbers; low volts, fed from a bench supply that limits its current.
 * Common practice, no source.
 */
export function firstPowerOf(design: Design, spec: DesignSpec): readonly BuiltStep[] {
  const { output, current, inputLow, inputHigh } = spec;
  const volts = Math.abs(output);
  const power = volts * current;
  const full = power / (design.efficiency * inputLow);
  const ohms = (share: number) => volts / (share * current);
  const within = `${q(volts * (1 - RULES.right), 'volt')} to ${q(volts * (1 + RULES.right), 'volt')}`;
  const [light = 0.1, half = 0.5] = RULES.loads;
  const hazard = hazardOf(design);
  const steps: readonly (readonly [text: string, expect: string])[] = [
    ...(hazard
      ? [[hazard, 'a cover over it, or clips fitted while it is off, before any step with power on'] as const]
      : []),
    [
      'Look at every joint; turn every can and diode against the drawing once more.',
      'nothing bridged, plus on plus, no strand of wire',
    ],
    [
      'Nothing connected: read ohms across the input and across the output, and from drain to source of the switch.',
      'climbing past some kilohms at both, no reading near 0 ohm, the switch open one way',
    ],
    [
      `Clip a load of ${q(ohms(light), 'ohm')} (${q(light * power, 'watt')}) and a meter to the output, all while the supply is off.`,
      'a converter without load may run away: the load stays on',
    ],
    [
      `Feed the controller alone, where it can be, at ${q(inputLow, 'volt')} limited to ${q(RULES.first, 'ampere')}.`,
      `its reference there, pulses at its gate pin at about ${formatQuantity(design.frequency, 'hertz', { digits: 2 })}`,
    ],
    [
      `Now all of it: turn the bench supply up from 0 to ${q(inputLow, 'volt')}, limited to ${q(Math.max(RULES.first, RULES.limit * light * full), 'ampere')}.`,
      `the output comes to ${within} and stays; off at once if the supply sits in its limit`,
    ],
    ...(inputHigh > inputLow
      ? [[`Turn the input to ${q(inputHigh, 'volt')}.`, `the output stays within ${within}`] as const]
      : []),
    [
      `Supply off, load of ${q(ohms(half), 'ohm')} clipped on, limit at ${q(RULES.limit * half * full, 'ampere')}; on for ${RULES.minutes[1]} minutes.`,
      `${within}; ${isPaired(design.topology) ? 'both chokes' : 'the choke'}, switch and rectifier warm, none too hot to hold after switching off`,
    ],
    [
      `Supply off, full load of ${q(ohms(1), 'ohm')} (${q(power, 'watt')}: wire-wound, on something that does not burn), limit at ${q(RULES.limit * full, 'ampere')}; ${RULES.minutes[2]} minutes.`,
      `${within}, ripple under ${q(spec.ripple ?? 0.01 * volts, 'volt')}, no part over ${RULES.warm} °C`,
    ],
    ['Supply off; read input and output cans until they are low before a hand goes in.', 'under 1 V'],
  ];
  return steps.map(([text, expect]) => ({ text, expect }));
}
