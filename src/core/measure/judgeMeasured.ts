import { judge, worseOf, type Criterion, type Judgement } from './judgement';
import { judgePart, type PartUnderTest } from './judgePart';
import { mergeReadings, type MeasuredSet } from './mergeReadings';

/** Good sets of readings that a part must show after one that condemned it, before it is anything but open. */
const AGAIN = 2;

/**
 * The judgement of all that was measured of a part. What once read as scrap out of circuit and reads well now is not as good
 * as what never did: it is measured once more, and then kept away from the mains, since a fault that
 * comes and goes shows on no meter (common practice, no source).
 * @param sets newest first
 * @param isClear whether the traced board adds nothing to a field that was read in circuit
 */
export function judgeMeasured(
  part: PartUnderTest,
  sets: readonly MeasuredSet[],
  isClear: (field: string) => boolean = () => false,
): Judgement {
  const now = judgePart(part, mergeReadings(sets, isClear));
  if (now.verdict === 'scrap') return now;
  const once = lastCondemned(part, sets);
  if (!once) return now;
  const criterion: Criterion =
    once.since < AGAIN
      ? { grade: 'cannot tell', text: `Once it was scrap: ${once.why} Now it reads well: measure it once more.` }
      : {
          grade: 'B',
          text: `Once it was scrap: ${once.why} Since then it read well ${once.since} times; a fault that comes and goes shows on no meter.`,
          limits: [{ kind: 'not-for', use: 'mains' }],
        };
  const added = judge([criterion]);
  const grade = worseOf(now.grade ?? 'cannot tell', criterion.grade);
  const worse = grade === criterion.grade ? added : now;
  return {
    ...worse,
    reasons: [...added.reasons, ...now.reasons],
    limits: worse.grade ? [...now.limits, ...added.limits] : [],
  };
}

/** The newest set after which the part was scrap by readings taken out of circuit, and how many sets read its fields anew. */
function lastCondemned(
  part: PartUnderTest,
  sets: readonly MeasuredSet[],
): { readonly why: string; readonly since: number } | undefined {
  const lifted = sets.filter(({ inCircuit }) => !inCircuit);
  for (const [index, set] of lifted.entries()) {
    if (index === 0) continue;
    const found = judgePart({ ...part, damage: [] }, mergeReadings(lifted.slice(index)));
    if (found.verdict !== 'scrap') continue;
    const fields = Object.keys(set.values);
    const since = lifted.slice(0, index).filter(({ values }) => fields.some((name) => name in values)).length;
    return { why: found.reasons.find(({ severity }) => severity === 'reject')?.text ?? '', since };
  }
  return undefined;
}
