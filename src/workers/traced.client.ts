import { aside, type Aside } from './remote';
import type { TracedWorker } from './traced.worker';

/** Starts the worker that runs boards as they were traced; stopping it is how a long run is cancelled. */
export function startTracedWorker(): Aside<TracedWorker> {
  return aside(new Worker(new URL('./traced.worker.ts', import.meta.url), { type: 'module' }));
}
