import { aside, type Aside } from './remote';
import type { WaveWorker } from './wave.worker';

/** Starts a worker that holds one recording and answers questions about it. */
export function startWaveWorker(): Aside<WaveWorker> {
  return aside(new Worker(new URL('./wave.worker.ts', import.meta.url), { type: 'module' }));
}
