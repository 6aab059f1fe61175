import { and, count, countDistinct, eq, isNull, sql, type SQLWrapper } from 'drizzle-orm';
import type { Source } from '../../core/evidence';
import type { Grade } from '../../core/measure';
import type { StockFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { bins, lotRatings, lots } from '../schema';
import { whereOf } from './lotSearch';
import { type Lot } from './lots';

/** Choices shown of each facet. */
const FACET_CHOICES = 8;

export interface FacetCount<T> {
  readonly value: T;
  readonly n: number;
}

/**
 * How many lots of a filter carry each kind, package and grade; of a list that is not too long also each source and bin,
 * since nobody narrows thousands down by a drawer.
 * @param ids of the lots that the filter finds, when they are known
 */
export async function lotFacets(
  db: Queryable,
  filter: StockFilter,
  ids: readonly string[] | undefined,
): Promise<{
  kinds: readonly FacetCount<Lot['kind']>[];
  packages: readonly FacetCount<string>[];
  grades: readonly FacetCount<Grade>[];
  sources: readonly FacetCount<Source>[];
  bins: readonly FacetCount<string>[];
}> {
  const isListed = (column: SQLWrapper) => sql`${column} in (select value from json_each(${JSON.stringify(ids)}))`;
  // One pass for three facets: the rows of it are few.
  const rows = await db
    .select({ kind: lots.kind, package: lots.package, grade: lots.grade, n: count() })
    .from(lots)
    .where(ids ? isListed(lots.id) : whereOf(db, filter))
    .groupBy(lots.kind, lots.package, lots.grade);
  const [sources, binCounts] = ids
    ? await Promise.all([
        db
          .select({ value: lotRatings.source, n: countDistinct(lotRatings.lotId) })
          .from(lotRatings)
          .where(and(isListed(lotRatings.lotId), isNull(lotRatings.supersededMs)))
          .groupBy(lotRatings.source),
        db
          .select({ value: bins.code, n: count() })
          .from(lots)
          .innerJoin(bins, eq(bins.id, lots.binId))
          .where(isListed(lots.id))
          .groupBy(lots.binId),
      ])
    : [[], []];
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
