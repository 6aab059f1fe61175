import type { FormOutcome } from '../outcome';

/** A form as a browser would send it. */
export function formOf(fields: Readonly<Record<string, string>>): FormData {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.set(name, value);
  return data;
}

/** The fields that an outcome blames, in order; undefined stands for the whole form. */
export function blamed(outcome: FormOutcome): (string | undefined)[] {
  return outcome.ok ? [] : outcome.problems.map(({ field }) => field);
}
