import type { BoardWorker } from './board.worker';
import { aside, type Aside } from './remote';

/** Starts the worker that looks at boards. */
export function startBoardWorker(): Aside<BoardWorker> {
  return aside(new Worker(new URL('./board.worker.ts', import.meta.url), { type: 'module' }));
}
