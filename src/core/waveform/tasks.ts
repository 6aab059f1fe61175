import {
  analyseChopping,
  analyseDischarge,
  analyseRamp,
  analyseRing,
  analyseStep,
  type ChoppingFinding,
  type DischargeFinding,
  type RampFinding,
  type RingFinding,
  type StepFinding,
} from './analyse';
import { analyseRipple, type RippleCurrent, type RippleFinding, type RippleShape } from './ripple';
import { stretchOf, type Wave, type WaveFailure } from './wave';

/** What can be made of a stretch: `ripple` is that behind a choke, `pulse` that behind a flyback's rectifier. */
export const WAVE_TASKS = ['ramp', 'ring', 'discharge', 'step', 'ripple', 'pulse', 'chopping'] as const;
export type WaveTask = (typeof WAVE_TASKS)[number];

/** What a task needs besides the stretch, SI units; blank fields are left out. */
export interface WaveParameters {
  readonly volts?: number | undefined;
  readonly loopOhms?: number | undefined;
  readonly amperesPerUnit?: number | undefined;
  /** Of a step, or the swing of a ripple's current from trough to peak. */
  readonly current?: number | undefined;
  /** Amperes for each volt of the channel beside the one in hand. */
  readonly amperesBeside?: number | undefined;
  /** What a discharge goes through. */
  readonly throughOhms?: number | undefined;
}

export type WaveFinding =
  | RampFinding
  | RingFinding
  | DischargeFinding
  | StepFinding
  | RippleFinding
  | ChoppingFinding
  | WaveFailure;

/** Does a task on the stretch of a channel between two moments. */
export function analyseWave(
  wave: Wave,
  of: { task: WaveTask; channel: number; from: number; to: number; parameters: WaveParameters },
): WaveFinding {
  const { volts, loopOhms, amperesPerUnit, current } = of.parameters;
  const stretch = stretchOf(wave, of.channel, of.from, of.to);
  switch (of.task) {
    case 'ramp':
      return volts === undefined
        ? { kind: 'failure', message: 'The voltage across the winding while the current rises is needed.' }
        : analyseRamp(stretch, {
            volts,
            ...(loopOhms === undefined ? {} : { loopOhms }),
            ...(amperesPerUnit === undefined ? {} : { amperesPerUnit }),
          });
    case 'ring':
      return analyseRing(stretch);
    case 'discharge':
      return analyseDischarge(stretch, of.parameters.throughOhms);
    case 'step':
      return current === undefined
        ? { kind: 'failure', message: 'The current of the step is needed.' }
        : analyseStep(stretch, current);
    case 'ripple':
      return analyseRipple(stretch, currentBeside(wave, of, 'triangle'));
    case 'pulse':
      return analyseRipple(stretch, currentBeside(wave, of, 'pulse'));
    case 'chopping':
      return analyseChopping(stretch);
  }
}

/** A current that was typed comes first; else the other channel, when it is in amperes or was said to show them. */
function currentBeside(
  wave: Wave,
  { channel, from, to, parameters }: { channel: number; from: number; to: number; parameters: WaveParameters },
  shape: RippleShape,
): RippleCurrent | undefined {
  if (parameters.current !== undefined) return { shape, swing: parameters.current };
  const beside = wave.channels.findIndex((_, index) => index !== channel);
  const perUnit = parameters.amperesBeside ?? (wave.channels[beside]?.unit === 'A' ? 1 : undefined);
  if (beside < 0 || perUnit === undefined) return undefined;
  return { recorded: stretchOf(wave, beside, from, to).values.map((value) => value * perUnit) };
}
