import { expose } from 'comlink';
import Papa from 'papaparse';
import {
  analyseWave,
  makeWave,
  reduceWave,
  stretchOf,
  WaveReader,
  waveProblemText,
  type MadeWave,
  type Wave,
  type WaveFinding,
  type WaveParameters,
  type WavePoint,
  type WaveTask,
} from '../core/waveform';

/** Spans of the picture: each shows its smallest and its largest value. */
const SPANS = 600;
const CHUNK_BYTES = 1 << 20;
const MADE = { points: 6000, noise: 0.008 } as const;

/** A recording that was taken in. */
export interface OpenedWave {
  readonly channels: readonly { readonly name: string; readonly unit: string }[];
  readonly points: number;
  readonly from: number;
  readonly to: number;
}
export type Opening =
  | { readonly ok: true; readonly wave: OpenedWave }
  | { readonly ok: false; readonly message: string };

let wave: Wave | undefined;

const functions = {
  /** Reads a file piece by piece, so that two million points need no second copy of their text. */
  open(file: Blob, onShare: (share: number) => void): Promise<Opening> {
    const reader = new WaveReader();
    let done = 0;
    return new Promise((resolve) => {
      Papa.parse<string[]>(file as File, {
        skipEmptyLines: true,
        chunkSize: CHUNK_BYTES,
        chunk: ({ data }, parser) => {
          done += CHUNK_BYTES;
          onShare(Math.min(1, done / file.size));
          if (!reader.push(data)) parser.abort();
        },
        complete: () => {
          const read = reader.end();
          resolve(read.ok ? opened(read.wave) : { ok: false, message: waveProblemText(read.problem) });
        },
        error: () => resolve({ ok: false, message: 'The file could not be read.' }),
      });
    });
  },
  make: (name: MadeWave): Opening => opened(makeWave(name, { ...MADE, gaussian: drawGaussian })),
  /** The points of each channel in a stretch of time, few enough to be drawn; none before a recording is open. */
  view(from: number, to: number): readonly (readonly WavePoint[])[] {
    const held = wave;
    return held?.channels.map((_, channel) => reduceWave(stretchOf(held, channel, from, to), SPANS)) ?? [];
  },
  analyse: (of: {
    task: WaveTask;
    channel: number;
    from: number;
    to: number;
    parameters: WaveParameters;
  }): WaveFinding | undefined => wave && analyseWave(wave, of),
};
export type WaveWorker = typeof functions;

function opened(next: Wave): Opening {
  wave = next;
  const { time, channels } = next;
  return {
    ok: true,
    wave: {
      channels: channels.map(({ name, unit }) => ({ name, unit })),
      points: time.length,
      from: time[0] ?? 0,
      to: time.at(-1) ?? 0,
    },
  };
}

/** Method: Box and Muller. */
function drawGaussian(): number {
  return Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());
}

expose(functions);
