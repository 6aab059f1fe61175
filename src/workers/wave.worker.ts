import Papa from 'papaparse';
import { analyseWave, makeWave, reduceWave, stretchOf, WaveReader, waveProblemText, type Wave } from '../core/waveform';
import type { WaveAnswer, WaveQuestion } from './wave.contract';

/** Spans of the picture: each shows its smallest and its largest value. */
const SPANS = 600;
const CHUNK_BYTES = 1 << 20;
const MADE = { points: 6000, noise: 0.008 } as const;

let wave: Wave | undefined;
const answer = (message: WaveAnswer) => postMessage(message);

addEventListener('message', ({ data }: MessageEvent<WaveQuestion>) => {
  if (data.kind === 'open') open(data.file);
  else if (data.kind === 'make') opened(makeWave(data.name, { ...MADE, gaussian: drawGaussian }));
  else if (!wave) answer({ kind: 'refused', message: 'Open a recording first.' });
  else if (data.kind === 'view') {
    const { channels } = wave;
    const held = wave;
    const series = channels.map((_, channel) => reduceWave(stretchOf(held, channel, data.from, data.to), SPANS));
    answer({ kind: 'points', series });
  } else answer({ kind: 'found', task: data.task, finding: analyseWave(wave, data) });
});

/** Reads a file piece by piece, so that two million points need no second copy of their text. */
function open(file: Blob): void {
  const reader = new WaveReader();
  let done = 0;
  Papa.parse<string[]>(file as File, {
    skipEmptyLines: true,
    chunkSize: CHUNK_BYTES,
    chunk: ({ data }, parser) => {
      done += CHUNK_BYTES;
      answer({ kind: 'share', share: Math.min(1, done / file.size) });
      if (!reader.push(data)) parser.abort();
    },
    complete: () => {
      const read = reader.end();
      if (read.ok) opened(read.wave);
      else answer({ kind: 'refused', message: waveProblemText(read.problem) });
    },
    error: () => answer({ kind: 'refused', message: 'The file could not be read.' }),
  });
}

function opened(next: Wave): void {
  wave = next;
  const { time, channels } = next;
  answer({
    kind: 'opened',
    wave: {
      channels: channels.map(({ name, unit }) => ({ name, unit })),
      points: time.length,
      from: time[0] ?? 0,
      to: time.at(-1) ?? 0,
    },
  });
}

/** Method: Box and Muller. */
function drawGaussian(): number {
  return Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());
}
