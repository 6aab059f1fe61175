/** Degrees of freedom and the one-sided 95 % and two-sided 95 % points. Source: any table of Student's t. */
const ROWS: readonly (readonly [freedom: number, oneSided: number, twoSided: number])[] = [
  [1, 6.314, 12.706],
  [2, 2.92, 4.303],
  [3, 2.353, 3.182],
  [4, 2.132, 2.776],
  [5, 2.015, 2.571],
  [6, 1.943, 2.447],
  [8, 1.86, 2.306],
  [10, 1.812, 2.228],
  [15, 1.753, 2.131],
  [20, 1.725, 2.086],
  [30, 1.697, 2.042],
];

/** 95 % points of Student's t; between rows the smaller freedom counts, which is the safe side. */
export function studentT95(freedom: number): { oneSided: number; twoSided: number } {
  const row = [...ROWS].reverse().find(([f]) => f <= freedom) ?? ROWS[0];
  return { oneSided: row?.[1] ?? Infinity, twoSided: row?.[2] ?? Infinity };
}
