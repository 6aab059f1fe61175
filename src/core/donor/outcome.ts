/** How the work on a unit ends. */
export const OUTCOMES = {
  works: { label: 'together again, and works', goesOut: true },
  repaired: { label: 'repaired', goesOut: true },
  harvested: { label: 'harvested', goesOut: false },
  parked: { label: 'parked for later', goesOut: false },
  scrapped: { label: 'scrapped', goesOut: false },
  returned: { label: 'given back', goesOut: true },
} as const satisfies Readonly<Record<string, { readonly label: string; readonly goesOut: boolean }>>;

export type OutcomeName = keyof typeof OUTCOMES;
export const OUTCOME_NAMES = Object.keys(OUTCOMES) as readonly OutcomeName[];
