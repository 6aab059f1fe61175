import { CAUSE_NAMES, type CauseCheck, type CauseName } from './causes';
import type { Complaint } from './complaint';
import { isNothing, stateOf } from './readings';
import type { RoleBook } from './roles';
import { causeOf, RULE } from './rule';
import { ROLES, type CheckTest, type RoleName, type Symptom } from './words';

export interface NextCheck {
  readonly check: string;
  readonly ref: string;
  readonly role: RoleName;
  readonly test: CheckTest;
  readonly pins?: string;
  readonly minutes: number;
  /** What it is expected to tell, bits. */
  readonly gain: number;
  readonly power: 'off' | 'on';
  readonly good: string;
  readonly bad: string;
}

const MINUTES: Readonly<Record<CheckTest, number>> = {
  visual: 1,
  'diode-mode': 2,
  resistance: 2,
  continuity: 2,
  esr: 3,
  capacitance: 4,
  'voltage-dc': 6,
};
/** Minutes that a check costs besides: to find the part, and to see that it is empty. */
const OVERHEAD = 2;

/** How surely a check finds its part bad where it is not said. */
const TELLS = 0.95;
/** Each check that some cause asks for, and how surely it tells of each cause that does. */
const ASKED: readonly { readonly check: CauseCheck; readonly tells: readonly (readonly [CauseName, number])[] }[] = [
  ...new Map(
    CAUSE_NAMES.flatMap((name) => causeOf(name).checks).map((one) => [`${one.role} ${one.test}`, one] as const),
  ).values(),
].map((check) => ({
  check,
  tells: CAUSE_NAMES.flatMap((name) => {
    const same = causeOf(name).checks.filter(({ role, test }) => role === check.role && test === check.test);
    return same.length === 0 ? [] : [[name, Math.max(...same.map(({ tells = TELLS }) => tells))] as const];
  }),
}));

const FUSE_SAID: ReadonlySet<Symptom> = new Set(['fuse-blown', 'trips-breaker']);

const entropy = (p: number) => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));

/** How much of a cause good parts clear at most, for its other parts. */
const MOST_CLEARED = 0.7;

/** How much of a cause is cleared by each role of its checks that was found good. */
function clearedOf(
  name: CauseName,
  observations: Complaint['observations'],
  of: RoleBook,
): ReadonlyMap<RoleName, number> {
  const found = new Map<RoleName, number>();
  for (const { role, test, tells = TELLS } of causeOf(name).checks)
    for (const seen of observations) {
      if (seen.ref === undefined || seen.test !== test || isNothing(seen.text)) continue;
      const sure = of.rolesOf(seen.ref).get(role) ?? 0;
      if (sure > 0 && stateOf(seen, true) === 'good') found.set(role, Math.max(found.get(role) ?? 0, tells * sure));
    }
  return found;
}

/** Checks by what they are expected to tell for each minute of work. */
export function nextChecks(
  probabilities: ReadonlyMap<CauseName, number>,
  { observations, symptom }: Complaint,
  of: RoleBook,
): readonly NextCheck[] {
  // Of a fuse that was looked at, or that is the complaint, nothing is left to ask but how it looks.
  const isFuseKnown =
    FUSE_SAID.has(symptom) ||
    observations.some(
      ({ ref, condition, text }) =>
        (/^F\d/u.test(ref ?? '') && condition !== undefined) || /\bfuse\b/iu.test(text ?? ''),
    );
  // What was told to look so was looked at.
  const done = new Set(
    observations.map(({ ref, test, condition }) => `${ref ?? ''} ${test ?? (condition === undefined ? '' : 'visual')}`),
  );
  const found = new Map<string, NextCheck & { readonly score: number }>();
  // What was found good at one part of a cause is left to its other parts.
  const cleared = new Map(CAUSE_NAMES.map((name) => [name, clearedOf(name, observations, of)]));
  const all = [...probabilities.values()].reduce((sum, p) => sum + p, 0);
  const doubt = entropy(RULE.mistaken);
  for (const { check, tells } of ASKED) {
    const { role, test, pins, good, bad } = check;
    if (!of.canHave(role) || (role === 'fuse' && test === 'continuity' && isFuseKnown)) continue;
    const weighed = tells.map(([name, tell]) => {
      const elsewhere = [...(cleared.get(name) ?? [])].reduce((sum, [one, by]) => sum + (one === role ? 0 : by), 0);
      return { tell: Math.min(TELLS, tell / (1 - Math.min(MOST_CLEARED, elsewhere))), p: probabilities.get(name) ?? 0 };
    });
    const others = all - weighed.reduce((sum, { p }) => sum + p, 0);
    const count = of.countOf(role);
    let looked = 0;
    for (const { ref, sure } of of.refsOf(role)) {
      if (done.has(`${ref} ${test}`)) {
        // Asked already: what is left of the role is elsewhere.
        looked += 1 - of.absence(ref);
        continue;
      }
      // Of several that do one work each is as likely as its fellows.
      const left = looked < count && count > 1 ? 1 / (count - looked) : RULE.further ** looked;
      let [bads, noise] = [others * RULE.mistaken, others * doubt];
      for (const { tell, p } of weighed) {
        const q = Math.max(RULE.mistaken, tell * sure * left);
        bads += p * q;
        noise += p * entropy(q);
      }
      const gain = Math.max(0, entropy(bads) - noise);
      const minutes = MINUTES[test];
      const one = {
        check: `${ROLES[role].label} ${ref}: ${test === 'visual' ? 'look at it' : test}`,
        ref,
        role,
        test,
        ...(pins ? { pins } : {}),
        minutes,
        gain: Number(gain.toFixed(4)),
        power: test === 'voltage-dc' ? ('on' as const) : ('off' as const),
        good,
        bad,
        score: gain / (minutes + OVERHEAD),
      };
      const before = found.get(`${ref} ${test}`);
      if (!before || before.score < one.score) found.set(`${ref} ${test}`, one);
    }
  }
  return [...found.values()]
    .toSorted((a, b) => b.score - a.score)
    .slice(0, 20)
    .map(({ score: _, ...one }) => one);
}
