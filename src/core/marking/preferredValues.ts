/** E24. Source: IEC 60063 (from memory); eight of its values depart from the rounded formula. */
export const E24 = [
  10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91,
] as const;

/** The nearest of a series of two digits by ratio. */
export function nearestOf(value: number, series: readonly number[]): number {
  const decade = 10 ** Math.floor(Math.log10(value));
  const all = [0.1, 1, 10].flatMap((factor) => series.map((one) => one * decade * factor));
  return Number(
    all
      .reduce((best, one) => (Math.abs(Math.log(one / value)) < Math.abs(Math.log(best / value)) ? one : best))
      .toPrecision(3),
  );
}

/** The three-digit series of IEC 60063 (from memory): round(100·10^(i/n)), with one exception in E192. */
export function preferredSeries(count: 48 | 96 | 192): number[] {
  const values = Array.from({ length: count }, (_, index) => Math.round(100 * 10 ** (index / count)));
  return count === 192 ? values.map((value) => (value === 919 ? 920 : value)) : values;
}

/** Whether a value's leading digits stand in E24. */
export function isE24(value: number): boolean {
  return matches(value, E24, 2);
}

/** Whether a value is one that is made: of E24 or E96 (IEC 60063). */
export const isPreferred = (value: number): boolean => isE24(value) || isE96(value);

/** Whether a value's leading digits stand in E96. */
export function isE96(value: number): boolean {
  return matches(value, preferredSeries(96), 3);
}

function matches(value: number, series: readonly number[], digits: number): boolean {
  if (value <= 0) return false;
  const leading = Number(value.toExponential(digits + 2)) / 10 ** Math.floor(Math.log10(value) + 1e-12);
  return series.some((step) => Math.abs(step / 10 ** (digits - 1) - leading) < 1e-6);
}
