/** Work that can be interrupted: it yields the share that is done, from 0 to 1, and returns what it made. */
export type Steps<T> = Generator<number, T, void>;

/** Told the share that is done; it lets others in, and rejects when the work is to stop. */
export type Pause = (share: number) => Promise<void>;

/** For work that nobody watches. */
export const noPause: Pause = () => Promise.resolve();

/** A pause whose zero and one are other shares of a longer work. */
export function partOf(pause: Pause, from: number, to: number): Pause {
  return (share) => pause(from + share * (to - from));
}

/** Does the work without a pause. */
export function allAtOnce<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** Does the work with a pause at every step. */
export async function stepByStep<T>(steps: Steps<T>, pause: Pause): Promise<T> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await pause(step.value);
  }
}
