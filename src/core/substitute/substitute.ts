import { CAPACITORS } from './rules/capacitors';
import { COMMON } from './rules/common';
import { PROTECTION } from './rules/protection';
import { RECTIFIERS } from './rules/rectifiers';
import { SIGNALS } from './rules/signals';
import { SWITCHES } from './rules/switches';
import type { Finding, Level, Rule, Swap } from './judged';

/** Every rule on what may take a part’s place. */
export const RULES: readonly Rule[] = [...COMMON, ...SWITCHES, ...RECTIFIERS, ...CAPACITORS, ...PROTECTION, ...SIGNALS];

export type Verdict = 'good' | 'limits' | 'no';

/** What is thought of one candidate. */
export interface Judgement {
  readonly verdict: Verdict;
  /** Every rule that had something to say, the worst first. */
  readonly checks: readonly Finding[];
  readonly why: string;
}

const SEVERITY: Readonly<Record<Level, number>> = { no: 3, limits: 2, note: 1, ok: 0 };

/** Holds a candidate against what failed and where it stood; the worst finding decides. */
export function judgeSwap(swap: Swap): Judgement {
  const found = RULES.filter(({ kinds }) => kinds === undefined || kinds.includes(swap.failed.kind)).flatMap((rule) =>
    rule.judge(swap),
  );
  const kind = found.find(({ name }) => name === 'kind');
  const checks = kind ? [kind] : found.toSorted((a, b) => SEVERITY[b.level] - SEVERITY[a.level]);
  const [worst] = checks;
  const verdict = worst?.level === 'no' ? 'no' : worst?.level === 'limits' ? 'limits' : 'good';
  const because = RULES.find(({ name }) => name === worst?.name)?.because ?? '';
  const told = checks.filter(({ level }) => level === worst?.level).map(({ message }) => message);
  return {
    verdict,
    checks,
    why:
      verdict === 'good' ? told.join('; ') || 'as the old one in all that is known' : `${told.join('; ')}. ${because}`,
  };
}
