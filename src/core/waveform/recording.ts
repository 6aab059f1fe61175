import type { WavePoint } from './reduce';

/** What was in view of a recording when it was kept: as it looks, with no spike lost. */
export interface Recording {
  readonly id: string;
  readonly partId: string;
  readonly title: string;
  readonly channels: readonly RecordedChannel[];
  readonly takenMs: number;
}

export interface RecordedChannel {
  readonly name: string;
  readonly unit: string;
  readonly points: readonly WavePoint[];
}
