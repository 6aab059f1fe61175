import { and, count, countDistinct, isNull, sql } from 'drizzle-orm';
import type { Source } from '../../core/evidence';
import type { Grade } from '../../core/measure';
import type { StockFilter, Lot } from '../../core/stock';
import type { Queryable } from '../client';
import { lotRatings, lots } from '../schema';
import { whereOf } from './lotWhere';

/** Choices shown of each facet. */
const FACET_CHOICES = 8;

export interface FacetCount<T> {
  readonly value: T;
  readonly n: number;
}

/**
 * How many lots of a filter carry each kind, package and grade; of a list that is not too long also each source and bin,
 * since nobody narrows thousands down by a drawer.
 */
export interface LotFacets {
  readonly kinds: readonly FacetCount<Lot['kind']>[];
  readonly packages: readonly FacetCount<string>[];
  readonly grades: readonly FacetCount<Grade>[];
  readonly sources: readonly FacetCount<Source>[];
  readonly bins: readonly FacetCount<string>[];
}

/** What the facets and the sums read of a lot, or of `n` lots that are the same in it. */
export interface Tallied {
  readonly kind: Lot['kind'];
  readonly package: string | null;
  readonly grade: Grade | null;
  readonly bin?: string;
  readonly n: number;
  readonly pieces: number;
}

/** The lots of a filter in heaps of one kind, package and grade, in one pass: the heaps are few. */
export async function heapsOf(db: Queryable, filter: StockFilter): Promise<readonly Tallied[]> {
  return db
    .select({
      kind: lots.kind,
      package: lots.package,
      grade: lots.grade,
      n: count(),
      pieces: sql<number>`coalesce(sum(${lots.onHand}), 0)`.mapWith(Number),
    })
    .from(lots)
    .where(whereOf(db, filter))
    .groupBy(lots.kind, lots.package, lots.grade);
}

/** Lots by the sources of their ratings. */
export async function sourcesOf(db: Queryable, ids: readonly string[]): Promise<readonly FacetCount<Source>[]> {
  return db
    .select({ value: lotRatings.source, n: countDistinct(lotRatings.lotId) })
    .from(lotRatings)
    .where(
      and(
        sql`${lotRatings.lotId} in (select value from json_each(${JSON.stringify(ids)}))`,
        isNull(lotRatings.supersededMs),
      ),
    )
    .groupBy(lotRatings.source);
}

/** The facets of lots or heaps. */
export function facetsOf(rows: readonly Tallied[], sources: readonly FacetCount<Source>[]): LotFacets {
  return {
    kinds: tally(rows.map(({ kind, n }) => ({ value: kind, n }))),
    packages: tally(rows.map((row) => ({ value: row.package, n: row.n }))),
    grades: tally(rows.map(({ grade, n }) => ({ value: grade, n }))),
    sources: tally(sources),
    bins: tally(rows.map(({ bin, n }) => ({ value: bin ?? null, n }))),
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
