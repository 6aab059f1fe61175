import type { Model, RectifierElement } from '../../topology';

/** Which way a rectifier would have to conduct: its cathode on the first rail, its anode on the second. */
export interface Duty {
  readonly element: RectifierElement;
  readonly high: number;
  readonly low: number;
  /** Whether the cathode belongs on the rail that `at` names. */
  readonly cathode: number;
  /** Whether the duty holds whatever the levels of the rails are. */
  readonly isCertain?: boolean;
  readonly because: string;
}

/** The rail that most capacitors lead to from another. */
export function pairedRail(rail: number, among: readonly number[], { elements }: Model): number | undefined {
  const counts = new Map<number, number>();
  for (const { a, b, polarised } of elements.capacitors) {
    const other = a === rail ? b : b === rail ? a : -1;
    if (other >= 0) counts.set(other, (counts.get(other) ?? 0) + (polarised ? 2 : 1) + (among.includes(other) ? 1 : 0));
  }
  return [...counts].toSorted((one, other) => other[1] - one[1])[0]?.[0];
}
