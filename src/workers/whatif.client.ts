import { aside, type Aside } from './remote';
import type { WhatIfWorker } from './whatif.worker';

export type { Turn, Turned } from './whatif.worker';

/** Starts the worker that runs circuits. */
export function startWhatIfWorker(): Aside<WhatIfWorker> {
  return aside(new Worker(new URL('./whatif.worker.ts', import.meta.url), { type: 'module' }));
}
