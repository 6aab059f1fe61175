import { kindRule, type RatingName } from '../../core/part';
import type { LotEntry } from '../../core/stock';
import type { Queryable } from '../../db/client';
import { allLots, type LotRow } from '../../db/repositories/lotSearch';
import { stockAsCsv, stockAsJson } from '../../formats/stock';
import { ask } from '../matching';

const EXPORT_PAGE = 500;

/** All lots of a filter as CSV or JSON; nothing when the filter cannot be read. */
export async function exportLots(db: Queryable, find: string, as: 'csv' | 'json'): Promise<string | undefined> {
  const asked = await ask(db, find);
  if (!asked.ok) return undefined;
  const entries: LotEntry[] = [];
  for await (const rows of allLots(db, asked.filter, EXPORT_PAGE)) entries.push(...rows.map(entryOf));
  return as === 'csv' ? stockAsCsv(entries) : stockAsJson(entries);
}

function entryOf({ lot, bin, ratings }: LotRow): LotEntry {
  return {
    code: lot.code,
    kind: lot.kind,
    subtype: lot.subtype ?? '',
    technology: lot.technology ?? '',
    marking: lot.marking,
    package: lot.package ?? '',
    grade: lot.grade === 'A' || lot.grade === 'B' || lot.grade === 'C' ? lot.grade : '',
    limits: lot.limits,
    pieces: lot.onHand,
    bin,
    note: lot.gradeReason.slice(0, 120),
    ratings: Object.fromEntries(
      kindRule(lot.kind).ratings.flatMap((name: RatingName) => {
        const rating = ratings[name];
        return rating ? [[name, { value: rating.value, source: rating.source }]] : [];
      }),
    ),
  };
}
