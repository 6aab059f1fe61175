import type { Evidenced } from '../../core/evidence';
import { judgePart, TESTS, type Judgement, type Measured } from '../../core/measure';
import { kindRule, type RatingName } from '../../core/part';
import type { PartRecord } from '../../db/repositories/parts';
import type { NewRating } from '../../db/repositories/ratings';

/** The judgement of a part by its latest measurement; none while it was not measured. */
export function judgeRecord({ part, ratings, measurements }: PartRecord): Judgement | undefined {
  const [latest] = measurements;
  const { test } = kindRule(part.kind);
  if (!latest || latest.test !== test) return undefined;
  const values: Partial<Record<RatingName, number>> = {};
  for (const [name, rating] of Object.entries(ratings) as [RatingName, Evidenced][]) values[name] = rating.value;
  return judgePart({ ...part, test, ratings: values }, latest.values, latest.inCircuit);
}

/**
 * The ratings a part takes into stock: what is known of it, then what was measured out of circuit,
 * which takes the place of the nominal value and leaves it as history.
 */
export function ratingsForStock({ ratings, measurements }: PartRecord): NewRating[] {
  const known = (Object.entries(ratings) as [RatingName, Evidenced][]).map(([name, rating]): NewRating => ({
    name,
    ...rating,
  }));
  const latest = measurements.find(({ inCircuit }) => !inCircuit);
  const measured = latest
    ? TESTS[latest.test].fields.flatMap(({ name, rating }): NewRating[] => {
        const reading: Measured | undefined = latest.values[name];
        return rating && reading && Number.isFinite(reading.value)
          ? [{ name: rating, value: reading.value, source: 'measured' }]
          : [];
      })
    : [];
  return [...known, ...measured];
}
