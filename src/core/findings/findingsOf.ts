import type { Recognition } from '../topology';
import type { Finding } from './finding';
import { levelsOf } from './levels';
import { FINDING_RULES } from './rules';
import { voltagesOf } from './voltages';

/** What the rules find on a recognised board, the worst first. */
export function findingsOf(recognition: Recognition): readonly Finding[] {
  const evidence = { ...recognition, levels: levelsOf(recognition), voltages: voltagesOf(recognition) };
  return FINDING_RULES.flatMap(({ rule, severity, check }) =>
    check(evidence).map((fault) => ({
      rule,
      severity: fault.severity ?? severity,
      parts: fault.parts.map(({ ref }) => ref).toSorted(),
      message: fault.message,
      advice: fault.advice,
    })),
  );
}
