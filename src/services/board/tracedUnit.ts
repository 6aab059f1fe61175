import { measuredRatings, transformerReport } from '../../core/measure';
import { kindRule, type RatingName } from '../../core/part';
import type { Evidenced } from '../../core/evidence';
import { formatQuantity } from '../../core/quantity';
import type { KnownValue, KnownValues, TracedUnit } from '../../core/traced';
import { splitPin } from '../../core/board';
import type { PartRecord } from '../../db/repositories/parts';
import { latestSoak } from '../../db/repositories/soaks';
import type { Dossier } from '../dossier';
import { readingsThatCount } from './judgeRecord';
import { testContext, type TestContext } from './testContext';

/** What of a unit its run rests on beside its board: values by part, ohms of windings, volts that were measured. */
export type TracedValues = Omit<TracedUnit, 'board'>;

/** All that is known of the parts of a traced unit, each value from its strongest source. */
export async function tracedValues(dossier: Dossier): Promise<TracedValues> {
  const [parts, facts, context, soak] = await Promise.all([
    dossier.parts(),
    dossier.boardFacts(),
    testContext(dossier),
    latestSoak(dossier.db, dossier.donor.id),
  ]);
  const loaded = soak.find(({ outputV, loadA }) => outputV !== null && (loadA ?? 0) > 0);
  return {
    known: Object.fromEntries(parts.map((record) => [record.part.ref, knownOf(record, context)])),
    windingOhms: Object.fromEntries(
      facts.flatMap(({ relation, a, b, ohms }) =>
        relation === 'through' && ohms !== null && splitPin(a)[0] === splitPin(b)[0]
          ? [[[a, b].toSorted((x, y) => x.localeCompare(y)).join(' '), ohms]]
          : [],
      ),
    ),
    ...(loaded?.outputV
      ? {
          readings: [
            {
              volts: loaded.outputV,
              ...(loaded.loadA === null ? {} : { amperes: loaded.loadA }),
              said: `run under load, ${formatQuantity(loaded.loadA ?? 0, 'ampere')}`,
            },
          ],
        }
      : {}),
  };
}

/** What is known of one part: what was measured goes before what was read. */
function knownOf(record: PartRecord, context: TestContext): KnownValues {
  const known: Record<string, KnownValue> = {};
  for (const [name, { value, source }] of Object.entries(record.ratings) as [RatingName, Evidenced][])
    known[name] = { value, source };
  const { test } = kindRule(record.part.kind);
  if (!test) return known;
  const readings = readingsThatCount(record, context);
  for (const [name, value] of Object.entries(measuredRatings(test, readings)))
    if (value !== undefined) known[name] = { value, source: 'measured' };
  if (test !== 'transformer') return known;
  const shorted = readings.shorted?.value;
  const ratio = transformerReport(readings).ratio?.ratio;
  return {
    ...known,
    ...(shorted === undefined ? {} : { shorted: { value: shorted, source: 'measured' } }),
    ...(ratio === undefined ? {} : { turnsRatio: { value: ratio, source: 'measured' } }),
  };
}
