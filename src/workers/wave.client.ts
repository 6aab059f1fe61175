import type { WaveAnswer, WaveQuestion } from './wave.contract';

/** A worker that holds one recording and answers questions about it. `stop` ends it; then nothing comes. */
export function startWaveWorker(on: (answer: WaveAnswer) => void): {
  readonly ask: (question: WaveQuestion) => void;
  readonly stop: () => void;
} {
  const worker = new Worker(new URL('./wave.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<WaveAnswer>) => on(data));
  worker.addEventListener('error', () =>
    on({ kind: 'refused', message: 'Reading the recording failed; try a shorter stretch.' }),
  );
  return { ask: (question) => worker.postMessage(question), stop: () => worker.terminate() };
}
