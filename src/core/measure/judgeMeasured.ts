import { formatQuantity } from '../quantity';
import { judge, worseOf, type Criterion, type Judgement, type Reading, type Readings } from './judgement';
import { judgePart, type PartUnderTest } from './judgePart';
import { testField } from './tests';
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
  const now = withDigitsTold(part, mergeReadings(sets, isClear));
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

const OUTCOME = { keep: 'a keeper', limit: 'good within a limit', retest: 'open', scrap: 'scrap' } as const;

/**
 * The judgement of readings, which says so when it hangs on how many digits of one were typed: with one digit more the meter
 * would leave less open.
 */
function withDigitsTold(part: PartUnderTest, readings: Readings): Judgement {
  const now = judgePart(part, readings);
  for (const [name, reading] of Object.entries(readings)) {
    if (!reading || reading.isWorkedOut || reading.resolution === 0 || !Number.isFinite(reading.value)) continue;
    const finer = { ...reading, resolution: reading.resolution / 10 };
    const then = judgePart(part, { ...readings, [name]: finer });
    if (then.grade === now.grade && then.verdict === now.verdict) continue;
    const field = testField(part.test, name, part.kind);
    if (!field) continue;
    const show = ({ value, resolution }: Reading) => formatQuantity(value, field.unit, { resolution });
    const would = then.grade && then.grade !== 'reject' ? `grade ${then.grade}` : OUTCOME[then.verdict];
    const text = `This hangs on the digits of “${field.label}”: read as ${show(finer)} rather than ${show(reading)} it is ${would}. Type every digit that the meter shows.`;
    return { ...now, reasons: [...now.reasons, { severity: 'note', text }] };
  }
  return now;
}
