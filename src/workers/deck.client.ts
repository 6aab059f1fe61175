import type { DeckWorker } from './deck.worker';
import { aside, type Aside } from './remote';

/** Starts the worker that runs decks; stopping it is how a long run is cancelled. */
export function startDeckWorker(): Aside<DeckWorker> {
  return aside(new Worker(new URL('./deck.worker.ts', import.meta.url), { type: 'module' }));
}
