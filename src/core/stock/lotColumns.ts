import { kindRule, RATINGS, type KindName, type RatingName } from '../part';
import type { Unit } from '../quantity';

/** What a list of lots shows of their ratings, by the units of each column. */
const MEASURES: Readonly<Record<Measure, readonly Unit[]>> = {
  value: ['ohm', 'farad', 'henry'],
  volts: ['volt'],
  amperes: ['ampere'],
};
export type Measure = 'value' | 'volts' | 'amperes';

/** The ratings of a kind that a column may show; the first that is known stands there. */
export function measureRatings(kind: KindName, measure: Measure): readonly RatingName[] {
  return kindRule(kind).ratings.filter(
    (name) => name !== 'tolerance' && MEASURES[measure].includes(RATINGS[name].unit),
  );
}
