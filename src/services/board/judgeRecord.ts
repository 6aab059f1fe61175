import type { Evidenced } from '../../core/evidence';
import {
  judgeMeasured,
  measuredRatings,
  mergeReadings,
  testField,
  type Judgement,
  type MeasuredSet,
  type PartUnderTest,
  type Readings,
} from '../../core/measure';
import { kindRule, RATINGS, type RatingName } from '../../core/part';
import type { PartRecord } from '../../db/repositories/parts';
import type { NewRating } from '../../db/repositories/ratings';
import { fingerprintsOf, isClearInPlace, type TestContext } from './testContext';

/** A part as its bench test takes it; none when its kind has no test. */
export function underTest(record: PartRecord, context: TestContext): PartUnderTest | undefined {
  const { part, ratings } = record;
  const { test } = kindRule(part.kind);
  if (!test) return undefined;
  const values: Partial<Record<RatingName, number>> = {};
  for (const [name, rating] of Object.entries(ratings) as [RatingName, Evidenced][]) values[name] = rating.value;
  return { ...part, test, ratings: values, known: fingerprintsOf(context, record) };
}

/** The readings of a part that count, each with the accuracy of its meter and whether the board lay in parallel. */
export function readingsThatCount(record: PartRecord, context: TestContext): Readings {
  return kindRule(record.part.kind).test ? mergeReadings(setsOf(record, context), clearOf(record, context)) : {};
}

const setsOf = ({ measurements }: PartRecord, { meters }: TestContext): readonly MeasuredSet[] =>
  measurements.map(({ values, inCircuit, meter }) => ({ values, inCircuit, meter: meters.get(meter) }));

/** Whether the traced board adds nothing to a field of a part; each is worked out once. */
function clearOf({ part }: PartRecord, { board }: TestContext): (field: string) => boolean {
  const { test } = kindRule(part.kind);
  const known = new Map<string, boolean>();
  return (name) => {
    const clear = known.get(name) ?? (!!test && isClearInPlace(board, part.ref, testField(test, name, part.kind)));
    known.set(name, clear);
    return clear;
  };
}

/** The judgement of a part by all its readings and by its looks; none while there is neither. */
export function judgeRecord(record: PartRecord, context: TestContext): Judgement | undefined {
  const part = underTest(record, context);
  if (!part || (record.measurements.length === 0 && part.damage.length === 0)) return undefined;
  return judgeMeasured(part, setsOf(record, context), clearOf(record, context));
}

/**
 * The ratings a part takes into stock: what is known of it and what was measured out of circuit; the worse of the two
 * governs and stands last, the other becomes its history. A value that is neither better nor worse, such as a
 * capacitance, is what was measured.
 */
export function ratingsForStock(record: PartRecord, context: TestContext): NewRating[] {
  const { part, ratings } = record;
  const known = (Object.entries(ratings) as [RatingName, Evidenced][]).map(([name, rating]): NewRating => ({
    name,
    ...rating,
  }));
  const { test } = kindRule(part.kind);
  if (!test) return known;
  const measured = Object.entries(measuredRatings(test, readingsThatCount(record, context))).flatMap(
    ([name, value]): NewRating[] =>
      value === undefined ? [] : [{ name: name as RatingName, value, source: 'measured' }],
  );
  const isBetter = ({ name, value }: NewRating) => {
    const { better } = RATINGS[name];
    const printed = ratings[name]?.value;
    if (printed === undefined || better === 'equal') return false;
    return better === 'higher' ? value > printed : value < printed;
  };
  return [...measured.filter(isBetter), ...known, ...measured.filter((rating) => !isBetter(rating))];
}

/** Why a part has its grade, for its lot: what speaks against it, else what speaks for it. */
export function gradeReason(judgement: Judgement | undefined): string {
  if (!judgement) return 'Not tested yet.';
  const said = judgement.reasons.filter(({ severity }) => severity !== 'ok');
  return (said.length > 0 ? said : judgement.reasons).map(({ text }) => text).join(' ');
}
