import type { MadeWave, WaveFinding, WaveParameters, WavePoint, WaveTask } from '../core/waveform';

export type WaveQuestion =
  | { readonly kind: 'open'; readonly file: Blob }
  | { readonly kind: 'make'; readonly name: MadeWave }
  | { readonly kind: 'view'; readonly from: number; readonly to: number }
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
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'points'; readonly series: readonly (readonly WavePoint[])[] }
  | { readonly kind: 'found'; readonly task: WaveTask; readonly finding: WaveFinding };
