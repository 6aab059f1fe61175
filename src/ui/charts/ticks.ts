/** The next step of 1, 2 or 5 times a power of ten. */
export function roundStep(least: number): number {
  const decade = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((step) => step * decade).find((step) => step >= least * (1 - 1e-9)) ?? least;
}

/** Round marks from 0 until past the end, so that no two labels run into each other. */
export function ticksTo(end: number, count = 5): number[] {
  const step = roundStep(Math.max(end, 1e-9) / count);
  return Array.from({ length: Math.ceil(end / step - 1e-9) + 1 }, (_, index) => Number((index * step).toPrecision(6)));
}
