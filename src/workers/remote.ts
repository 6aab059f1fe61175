import { wrap, type Remote } from 'comlink';

/** A worker whose functions are called as if they were here; `stop` ends it, and what was asked of it never comes. */
export interface Aside<Functions> {
  /** Asks it; rejects when the function throws or the worker itself fails. */
  readonly ask: <Answer>(question: (call: Remote<Functions>) => Promise<Answer>) => Promise<Answer>;
  readonly stop: () => void;
}

/** @param worker exposes the functions through comlink */
export function aside<Functions>(worker: Worker): Aside<Functions> {
  const call = wrap<Functions>(worker);
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', ({ message }) => reject(new Error(message)));
  });
  // Nobody need be asking when it breaks.
  broken.catch(() => undefined);
  return { ask: (question) => Promise.race([question(call), broken]), stop: () => worker.terminate() };
}
