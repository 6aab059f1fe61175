import type { Evidenced } from '../../core/evidence';
import {
  judgePart,
  mergeReadings,
  testField,
  type Judgement,
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
export function readingsThatCount({ part, measurements }: PartRecord, context: TestContext): Readings {
  const { test } = kindRule(part.kind);
  if (!test) return {};
  const clear = new Map<string, boolean>();
  const isClear = (name: string) => {
    const known = clear.get(name) ?? isClearInPlace(context.board, part.ref, testField(test, name, part.kind));
    clear.set(name, known);
    return known;
  };
  const sets = measurements.map(({ values, inCircuit, meter }) => ({
    values,
    inCircuit,
    meter: context.meters.get(meter),
  }));
  return mergeReadings(sets, isClear);
}

/** The judgement of a part by the readings that count and by its looks; none while there is neither. */
export function judgeRecord(record: PartRecord, context: TestContext): Judgement | undefined {
  const part = underTest(record, context);
  if (!part || (record.measurements.length === 0 && part.damage.length === 0)) return undefined;
  return judgePart(part, readingsThatCount(record, context));
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
  const measured = Object.entries(readingsThatCount(record, context)).flatMap(([name, reading]): NewRating[] => {
    const rating = testField(test, name)?.rating;
    return rating && reading && !reading.inCircuit && Number.isFinite(reading.value)
      ? [{ name: rating, value: reading.value, source: 'measured' }]
      : [];
  });
  const isBetter = ({ name, value }: NewRating) => {
    const { better } = RATINGS[name];
    const printed = ratings[name]?.value;
    if (printed === undefined || better === 'equal') return false;
    return better === 'higher' ? value > printed : value < printed;
  };
  return [...measured.filter(isBetter), ...known, ...measured.filter((rating) => !isBetter(rating))];
}
