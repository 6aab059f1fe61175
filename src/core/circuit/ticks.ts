/** Ticks of a period; every duration is a sum of powers of two of them. */
export const TICKS = 2 ** 28;

/** The largest power of two below a number of ticks. */
export function powerBelow(ticks: number): number {
  let power = 1;
  while (power * 2 < ticks) power *= 2;
  return power;
}
