import { withinLimit } from '../uncertainty';

/** What to do with a part. */
export type Verdict = 'keep' | 'limit' | 'retest' | 'scrap';

/** A as new, B good with limits stated, C for undemanding use. */
export type Grade = 'A' | 'B' | 'C' | 'reject';

export interface Reason {
  readonly severity: 'ok' | 'note' | 'warn' | 'reject' | 'cannot tell';
  readonly text: string;
}

export interface Judgement {
  readonly verdict: Verdict;
  readonly grade?: Grade;
  readonly reasons: readonly Reason[];
}

/** A meter reading; an open circuit (“OL”) is Infinity. */
export interface Measured {
  readonly value: number;
  readonly resolution: number;
}

/** One criterion's outcome: a grade, or undecided. */
export interface Criterion {
  readonly grade: Grade | 'cannot tell';
  readonly text: string;
}

const WORST_FIRST = ['reject', 'cannot tell', 'C', 'B', 'A'] as const;
const SEVERITY = { A: 'ok', B: 'note', C: 'warn', reject: 'reject', 'cannot tell': 'cannot tell' } as const;
const VERDICT = { A: 'keep', B: 'limit', C: 'limit', reject: 'scrap', 'cannot tell': 'retest' } as const;

/**
 * Puts criteria together: the worst decides. A reading taken in circuit can condemn a part or leave
 * it open, never pass it, since the board lies in parallel.
 */
export function judge(criteria: readonly Criterion[], inCircuit: boolean): Judgement {
  const worst = WORST_FIRST.find((grade) => criteria.some((criterion) => criterion.grade === grade)) ?? 'cannot tell';
  const reasons: Reason[] = criteria.map(({ grade, text }) => ({ severity: SEVERITY[grade], text }));
  if (inCircuit && worst !== 'reject')
    return {
      verdict: 'retest',
      reasons: [
        ...reasons,
        {
          severity: 'cannot tell',
          text: 'Measured in circuit: the board lies in parallel. Lift one leg and measure again.',
        },
      ],
    };
  if (worst === 'cannot tell') return { verdict: 'retest', reasons };
  return { verdict: VERDICT[worst], grade: worst, reasons };
}

/**
 * The best grade whose limit a value keeps with its uncertainty; undecided when even the lowest
 * limit cannot be told from the value, reject when it is broken.
 */
export function gradeAgainst(
  value: number,
  standard: number,
  limits: readonly { grade: 'A' | 'B' | 'C'; limit: number }[],
  side: 'at-most' | 'at-least',
): Criterion['grade'] {
  const outcomes = limits.map(({ grade, limit }) => ({
    grade,
    verdict: withinLimit({ value, standard, limit, side }).verdict,
  }));
  const kept = outcomes.find(({ verdict }) => verdict === 'within');
  if (kept) return kept.grade;
  return outcomes.some(({ verdict }) => verdict === 'cannot-tell') ? 'cannot tell' : 'reject';
}
