import { and, count, countDistinct, eq, inArray, isNull } from 'drizzle-orm';
import type { Source } from '../../core/evidence';
import type { Grade } from '../../core/measure';
import type { StockFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { bins, lotRatings, lots } from '../schema';
import { whereOf, type Lot } from './lots';

/** Choices shown of each facet. */
const FACET_CHOICES = 8;

/** Beyond so many lots evidence and bins are not told apart: nobody narrows thousands down by a drawer. */
const FINE_FACETS_UP_TO = 3000;

export interface FacetCount<T> {
  readonly value: T;
  readonly n: number;
}

/** How many lots of a filter carry each kind, package and grade; of a list that is not too long also each source and bin. */
export async function lotFacets(
  db: Queryable,
  filter: StockFilter,
  total: number,
): Promise<{
  kinds: readonly FacetCount<Lot['kind']>[];
  packages: readonly FacetCount<string>[];
  grades: readonly FacetCount<Grade>[];
  sources: readonly FacetCount<Source>[];
  bins: readonly FacetCount<string>[];
}> {
  const where = whereOf(db, filter);
  // One pass for three facets: the rows of it are few, and it is read off an index.
  const rows = await db
    .select({ kind: lots.kind, package: lots.package, grade: lots.grade, n: count() })
    .from(lots)
    .where(where)
    .groupBy(lots.kind, lots.package, lots.grade);
  const ids =
    total <= FINE_FACETS_UP_TO ? (await db.select({ id: lots.id }).from(lots).where(where)).map(({ id }) => id) : [];
  const [sources, binCounts] =
    ids.length === 0
      ? [[], []]
      : await Promise.all([
          db
            .select({ value: lotRatings.source, n: countDistinct(lotRatings.lotId) })
            .from(lotRatings)
            .where(and(inArray(lotRatings.lotId, ids), isNull(lotRatings.supersededMs)))
            .groupBy(lotRatings.source),
          db
            .select({ value: bins.code, n: count() })
            .from(lots)
            .innerJoin(bins, eq(bins.id, lots.binId))
            .where(inArray(lots.id, ids))
            .groupBy(lots.binId),
        ]);
  return {
    kinds: tally(rows.map(({ kind, n }) => ({ value: kind, n }))),
    packages: tally(rows.map((row) => ({ value: row.package, n: row.n }))),
    grades: tally(rows.map(({ grade, n }) => ({ value: grade, n }))),
    sources: tally(sources),
    bins: tally(binCounts),
  };
}

/** Counts by value, the most first. */
function tally<T extends string>(rows: readonly { value: T | null; n: number }[]): FacetCount<T>[] {
  const counts = new Map<T, number>();
  for (const { value, n } of rows) if (value !== null) counts.set(value, (counts.get(value) ?? 0) + n);
  return [...counts]
    .map(([value, n]) => ({ value, n }))
    .sort((a, b) => b.n - a.n)
    .slice(0, FACET_CHOICES);
}
