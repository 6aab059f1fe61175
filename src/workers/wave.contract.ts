import type {
  ChoppingFinding,
  DischargeFinding,
  MadeWave,
  RampFinding,
  RingFinding,
  RippleFinding,
  StepFinding,
  WaveFailure,
  WavePoint,
} from '../core/waveform';

/** What can be made of a stretch. */
export const WAVE_TASKS = ['ramp', 'ring', 'discharge', 'step', 'ripple', 'chopping'] as const;
export type WaveTask = (typeof WAVE_TASKS)[number];

/** What a task needs besides the stretch, SI units; blank fields are left out. */
export interface WaveParameters {
  readonly volts?: number | undefined;
  readonly loopOhms?: number | undefined;
  readonly amperesPerUnit?: number | undefined;
  readonly current?: number | undefined;
}

export type WaveFinding =
  RampFinding | RingFinding | DischargeFinding | StepFinding | RippleFinding | ChoppingFinding | WaveFailure;

export type WaveQuestion =
  | { readonly kind: 'open'; readonly file: Blob }
  | { readonly kind: 'make'; readonly name: MadeWave }
  | { readonly kind: 'view'; readonly channel: number; readonly from: number; readonly to: number }
  | {
      readonly kind: 'analyse';
      readonly task: WaveTask;
      readonly channel: number;
      readonly from: number;
      readonly to: number;
      readonly parameters: WaveParameters;
    };

/** A recording that was taken in. */
export interface OpenedWave {
  readonly channels: readonly { readonly name: string; readonly unit: string }[];
  readonly points: number;
  readonly from: number;
  readonly to: number;
}

export type WaveAnswer =
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'opened'; readonly wave: OpenedWave }
  | { readonly kind: 'refused'; readonly says: string }
  | { readonly kind: 'points'; readonly channel: number; readonly points: readonly WavePoint[] }
  | { readonly kind: 'found'; readonly task: WaveTask; readonly finding: WaveFinding };
