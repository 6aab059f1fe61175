import { and, eq, exists, inArray, isNull, notInArray, or, sql, type AnyColumn, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { caseNames, type AskedKind, type Demand, type StockFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { bins, donors, lotRatings, lots } from '../schema';
import { demandWhere } from './ratings';
import { begins, holds } from './text';

/** Ratings that meet a demand from which on the newest lots that do are sooner met by asking one after another. */
const BROAD = 8000;

/** The same filter with the demand in front that the fewest ratings meet: `whereOf` begins there. */
export async function narrowestFirst(
  db: Queryable,
  filter: StockFilter,
): Promise<{ readonly asked: StockFilter; readonly isBroad: boolean }> {
  const reach = await Promise.all(
    filter.demands.map(async (demand) => ({
      demand,
      n: await db.$count(lotRatings, demandWhere(lotRatings, demand)),
    })),
  );
  reach.sort((a, b) => a.n - b.n);
  return { asked: { ...filter, demands: reach.map(({ demand }) => demand) }, isBroad: (reach[0]?.n ?? 0) > BROAD };
}

/** Which lots carry a word. They are read off their own index, which is left to no guess of the planner. */
const carries = (word: string): SQL => {
  const carried = or(
    ...[lots.marking, lots.package, lots.code].map((column) => holds(column, word)),
    eq(lots.subtype, word),
    eq(lots.technology, word),
  );
  return sql`${lots.id} in (select ${lots.id} from ${lots} indexed by lots_words
    where ${lots.deletedMs} is null and ${lots.onHand} > 0 and ${carried})`;
};

type KindColumns = Readonly<Record<'kind' | 'subtype' | 'technology', AnyColumn>>;

/** Lots or parts of a kind as it was asked for. */
export function ofKind(table: KindColumns, { kinds, variants, not }: AskedKind): SQL | undefined {
  return and(
    inArray(table.kind, [...kinds]),
    variants && or(inArray(table.subtype, [...variants]), inArray(table.technology, [...variants])),
    not && or(isNull(table.subtype), notInArray(table.subtype, [...not])),
  );
}

/** In one of these cases. */
export const inCases = (column: AnyColumn, names: readonly string[]): SQL =>
  inArray(
    column,
    names.flatMap((name) => caseNames(name)),
  );

function gradedAs(grades: NonNullable<StockFilter['grades']>): SQL | undefined {
  const known = grades.filter((grade) => grade !== null);
  return or(inArray(lots.grade, known), grades.includes(null) ? isNull(lots.grade) : undefined);
}

/** Whether a lot meets a demand, asked of one lot after another. */
export const meets = (db: Queryable, demand: Demand): SQL => {
  const ratings = alias(lotRatings, 'met');
  return exists(
    db
      .select({ one: sql`1` })
      .from(ratings)
      .where(and(eq(ratings.lotId, lots.id), demandWhere(ratings, demand))),
  );
};

/**
 * The condition of lots with stock left that meet a filter at face value. The lots that meet its first demand are listed
 * and each of them is asked for the others; or every lot is asked for all, which finds the newest of very many sooner.
 */
export function whereOf(db: Queryable, filter: StockFilter, firstIs: 'listed' | 'asked' = 'listed'): SQL | undefined {
  const [first, ...others] = filter.demands;
  return and(
    isNull(lots.deletedMs),
    // Written out, so that the index of lots with stock left is seen to serve.
    sql`${lots.onHand} > 0`,
    filter.kind && ofKind(lots, filter.kind),
    filter.packages && inCases(lots.package, filter.packages),
    filter.grades && gradedAs(filter.grades),
    filter.bin
      ? inArray(lots.binId, db.select({ id: bins.id }).from(bins).where(begins(bins.code, filter.bin)))
      : undefined,
    filter.donor
      ? inArray(lots.donorId, db.select({ id: donors.id }).from(donors).where(begins(donors.code, filter.donor)))
      : undefined,
    filter.source
      ? exists(
          db
            .select({ one: sql`1` })
            .from(lotRatings)
            .where(
              and(eq(lotRatings.lotId, lots.id), eq(lotRatings.source, filter.source), isNull(lotRatings.supersededMs)),
            ),
        )
      : undefined,
    first &&
      (firstIs === 'asked'
        ? meets(db, first)
        : inArray(lots.id, db.select({ id: lotRatings.lotId }).from(lotRatings).where(demandWhere(lotRatings, first)))),
    ...others.map((demand) => meets(db, demand)),
    ...filter.words.map(carries),
  );
}
