import { and, asc, count, desc, eq, exists, gt, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import { z } from 'zod';
import { kindsServing } from '../../core/part';
import type { Demand, StockFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { bins, donors, lotRatings, lots, parts } from '../schema';
import type { Lot } from './lots';
import { demandWhere, ratingsOfLots, type Ratings } from './ratings';
import { begins, holds } from './text';

export interface LotRow {
  readonly lot: Lot;
  readonly bin: string;
  readonly donorCode: string | null;
  readonly partRef: string | null;
  readonly ratings: Ratings;
}

export interface LotPage {
  readonly rows: readonly LotRow[];
  readonly total: number;
  readonly pieces: number;
  /** All that were found, when they are not very many. */
  readonly ids: readonly string[] | undefined;
}

/** Lots looked at for each demand when the tightest is sought among very many. */
const TIGHTEST = 30;

/** Lots of a filter are known one by one up to so many; beyond it only their sums are. */
const KNOWN_UP_TO = 5000;

/**
 * The newest lots with stock left that meet a filter at face value, and the sums of all of them. What is found is found
 * in one pass unless it is very much, since a pass is what a question costs.
 */
export async function searchLots(db: Queryable, filter: StockFilter, of: { size: number }): Promise<LotPage> {
  const where = whereOf(db, filter);
  const newest = db
    .select({ id: lots.id, onHand: lots.onHand })
    .from(lots)
    .where(where)
    .orderBy(newestFirst(filter))
    .limit(KNOWN_UP_TO + 1)
    .as('newest');
  // One row with a list in it: thousands of rows take longer to hand over than to find.
  const [known] = await db
    .select({
      ids: sql<string>`json_group_array(${newest.id})`,
      pieces: sql<number>`coalesce(sum(${newest.onHand}), 0)`,
    })
    .from(newest);
  const ids = z.array(z.string()).parse(JSON.parse(known?.ids ?? '[]'));
  const rows = await lotRows(db, ids.slice(0, of.size));
  if (ids.length <= KNOWN_UP_TO) return { rows, total: ids.length, pieces: Number(known?.pieces ?? 0), ids };
  const [sums] = await db
    .select({ total: count(), pieces: sql<number>`coalesce(sum(${lots.onHand}), 0)` })
    .from(lots)
    .where(where);
  return { rows, total: sums?.total ?? 0, pieces: Number(sums?.pieces ?? 0), ids: undefined };
}

/** A page of lots with stock left that meet a filter at face value, newest first. */
export async function pageOfLots(
  db: Queryable,
  filter: StockFilter,
  of: { page: number; size: number },
): Promise<LotRow[]> {
  const ids = await db
    .select({ id: lots.id })
    .from(lots)
    .where(whereOf(db, filter))
    .orderBy(newestFirst(filter))
    .limit(of.size)
    .offset(of.page * of.size);
  return lotRows(
    db,
    ids.map(({ id }) => id),
  );
}

/** Free lots that meet a filter and stand least over one of its demands, so many for each, sure and doubtful ones. */
export async function tightestLots(db: Queryable, filter: StockFilter, size = TIGHTEST): Promise<LotRow[]> {
  const found = await Promise.all(
    filter.demands.flatMap((demand) => [true, false].map((sure) => tightestOf(db, filter, { demand, sure, size }))),
  );
  return [...new Map(found.flat().map((row) => [row.lot.id, row])).values()];
}

/** By one demand. @param of.sure only those whose rating of it was measured or read in a datasheet */
async function tightestOf(
  db: Queryable,
  filter: StockFilter,
  of: { demand: Demand; sure: boolean; size: number },
): Promise<LotRow[]> {
  const rest = { ...filter, demands: filter.demands.filter((demand) => demand !== of.demand) };
  const isCeiling = of.demand.comparison === 'at-most' || of.demand.comparison === 'below';
  const rows = await db
    .select({ id: lotRatings.lotId })
    .from(lotRatings)
    .where(
      and(
        demandWhere(lotRatings, of.demand),
        of.sure ? inArray(lotRatings.source, ['measured', 'datasheet']) : undefined,
        exists(
          db
            .select({ one: sql`1` })
            .from(lots)
            .where(and(eq(lots.id, lotRatings.lotId), sql`${lots.onHand} > ${lots.reserved}`, whereOf(db, rest))),
        ),
      ),
    )
    .orderBy(isCeiling ? desc(lotRatings.valueSi) : asc(lotRatings.valueSi))
    .limit(of.size);
  return lotRows(
    db,
    rows.map(({ id }) => id),
  );
}

/** Words are read off an index of their own, which a bare key would make SQLite pass over for the order's sake. */
const newestFirst = ({ words }: StockFilter): SQL => desc(words.length > 0 ? sql`+${lots.id}` : lots.id);

/** The condition of lots with stock left that meet a filter at face value. */
export function whereOf(db: Queryable, filter: StockFilter): SQL | undefined {
  const grades = filter.grade ? (['A', 'B', 'C'] as const).slice(0, 'ABC'.indexOf(filter.grade) + 1) : undefined;
  return and(
    isNull(lots.deletedMs),
    // Written out, so that the index of lots with stock left is seen to serve.
    sql`${lots.onHand} > 0`,
    filter.kind ? inArray(lots.kind, kindsServing(filter.kind)) : undefined,
    filter.package ? eq(lots.package, filter.package) : undefined,
    grades ? inArray(lots.grade, grades) : undefined,
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
    ...filter.demands.map((demand) =>
      inArray(lots.id, db.select({ id: lotRatings.lotId }).from(lotRatings).where(demandWhere(lotRatings, demand))),
    ),
    ...filter.words.map((word) =>
      or(
        ...[lots.marking, lots.package, lots.code].map((column) => holds(column, word)),
        eq(lots.subtype, word),
        eq(lots.technology, word),
      ),
    ),
  );
}

async function lotRows(db: Queryable, ids: readonly string[]): Promise<LotRow[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select({ lot: lots, bin: bins.code, donorCode: donors.code, partRef: parts.ref })
    .from(lots)
    .innerJoin(bins, eq(bins.id, lots.binId))
    .leftJoin(donors, eq(donors.id, lots.donorId))
    .leftJoin(parts, eq(parts.id, lots.partId))
    .where(inArray(lots.id, [...ids]));
  const ratings = await ratingsOfLots(db, ids);
  return ids
    .flatMap((id) => rows.filter(({ lot }) => lot.id === id))
    .map((row) => ({ ...row, ratings: ratings.get(row.lot.id) ?? {} }));
}

/** The lot with a code. */
export async function findLot(db: Queryable, code: string): Promise<LotRow | undefined> {
  const [row] = await db
    .select({ id: lots.id })
    .from(lots)
    .where(and(eq(lots.code, code), isNull(lots.deletedMs)));
  return row && (await lotRows(db, [row.id]))[0];
}

/** Lots by code, for labels, in the order asked. */
export async function findLots(db: Queryable, codes: readonly string[]): Promise<LotRow[]> {
  if (codes.length === 0) return [];
  const rows = await db
    .select({ id: lots.id })
    .from(lots)
    .where(and(inArray(lots.code, [...codes]), isNull(lots.deletedMs)));
  const found = await lotRows(
    db,
    rows.map(({ id }) => id),
  );
  return codes.flatMap((code) => found.filter(({ lot }) => lot.code === code));
}

/**
 * Lots of a kind with stock left that carry the filter's words, for matching in core: the newest whatever their ratings,
 * and those that meet its demands most tightly, however old.
 */
export async function candidateLots(db: Queryable, filter: StockFilter, limit: number): Promise<LotRow[]> {
  const [newest, tightest] = await Promise.all([
    pageOfLots(db, { ...filter, demands: [] }, { page: 0, size: limit }),
    tightestLots(db, filter),
  ]);
  const known = new Set(newest.map(({ lot }) => lot.id));
  return [...newest, ...tightest.filter(({ lot }) => !known.has(lot.id))];
}

/** The lots that came from a donor, newest first. */
export async function lotsOfDonor(db: Queryable, donorId: string): Promise<LotRow[]> {
  const ids = await db
    .select({ id: lots.id })
    .from(lots)
    .where(and(eq(lots.donorId, donorId), isNull(lots.deletedMs)))
    .orderBy(desc(lots.id));
  return lotRows(
    db,
    ids.map(({ id }) => id),
  );
}

/** Lots of one kind, marking and grade besides one, which could be joined with it. */
export async function likeLots(db: Queryable, lot: Lot, limit: number): Promise<LotRow[]> {
  const rows = await db
    .select({ id: lots.id })
    .from(lots)
    .where(
      and(
        eq(lots.kind, lot.kind),
        eq(lots.marking, lot.marking),
        lot.package === null ? isNull(lots.package) : eq(lots.package, lot.package),
        lot.grade === null ? isNull(lots.grade) : eq(lots.grade, lot.grade),
        sql`${lots.id} <> ${lot.id}`,
        gt(lots.onHand, 0),
        isNull(lots.deletedMs),
      ),
    )
    .limit(limit);
  return lotRows(
    db,
    rows.map(({ id }) => id),
  );
}

/** Every lot with stock left that a filter finds, for a file, in pieces of a page each. */
export async function* allLots(db: Queryable, filter: StockFilter, pageSize: number): AsyncGenerator<LotRow[]> {
  const where = whereOf(db, filter);
  let after = '';
  for (;;) {
    const ids = await db
      .select({ id: lots.id })
      .from(lots)
      .where(and(where, gt(lots.id, after)))
      .orderBy(asc(lots.id))
      .limit(pageSize);
    if (ids.length === 0) return;
    after = ids.at(-1)?.id ?? '';
    yield await lotRows(
      db,
      ids.map(({ id }) => id),
    );
  }
}

/** Totals for the heads of pages. */
export async function stockTotals(db: Queryable): Promise<{ lots: number; bins: number; pieces: number }> {
  const [row] = await db
    .select({
      lots: count(),
      bins: sql<number>`count(distinct ${lots.binId})`,
      pieces: sql<number>`coalesce(sum(${lots.onHand}), 0)`,
    })
    .from(lots)
    .where(and(isNull(lots.deletedMs), gt(lots.onHand, 0)));
  return { lots: row?.lots ?? 0, bins: Number(row?.bins ?? 0), pieces: Number(row?.pieces ?? 0) };
}
