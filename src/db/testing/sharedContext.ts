import type { Bench } from '../context';

/** Makes a bench the one that views and actions reach for, as the server's would be. */
export function shareBench(bench: Bench): void {
  (globalThis as { zorvekBench?: Bench }).zorvekBench = bench;
}
