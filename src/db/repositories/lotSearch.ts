import { and, asc, count, desc, eq, exists, gt, inArray, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import { dutyDemands, type Demand, type StockFilter, type Lot } from '../../core/stock';
import type { Queryable } from '../client';
import { bins, donors, lotRatings, lots, parts } from '../schema';
import { facetsOf, heapsOf, sourcesOf, type LotFacets } from './lotFacets';
import { demandWhere, ratingsOfLots, type Ratings } from './ratings';
import { lotOrder, type LotOrder } from './lotOrder';
import { meets, narrowestFirst, whereOf } from './lotWhere';

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
  readonly facets: LotFacets;
}

/** Lots looked at for each demand when the tightest is sought among very many. */
const TIGHTEST = 30;

/** Lots that are few enough to go through one by one: to count their sources, to page among. */
const FEW = 1000;

/**
 * Lots of a filter are known one by one up to so many; beyond it only their heaps are, which is another pass. Several
 * demands make a pass dear and what they find few, so that a longer list is the cheaper way.
 */
const knownUpTo = ({ demands }: StockFilter) => (demands.length > 1 ? 5 * FEW : FEW);

/** Key, kind, package, grade, bin and pieces. */
const knownRows = z.array(
  z.tuple([
    z.string(),
    z.custom<Lot['kind']>(),
    z.string().nullable(),
    z.custom<Lot['grade']>(),
    z.string(),
    z.number(),
  ]),
);

/**
 * The newest lots with stock left that meet a filter at face value, and the sums and facets of all of them. What is found
 * is found in one pass unless it is very much, since a pass is what a question costs.
 */
export async function searchLots(db: Queryable, filter: StockFilter, of: { size: number }): Promise<LotPage> {
  const { asked, isBroad } = await narrowestFirst(db, filter);
  const most = knownUpTo(asked);
  const newest = db
    .select({
      id: lots.id,
      kind: lots.kind,
      package: lots.package,
      grade: lots.grade,
      bin: lots.binId,
      onHand: lots.onHand,
    })
    .from(lots)
    .where(whereOf(db, asked, isBroad ? 'asked' : 'listed'))
    .orderBy(desc(lots.id))
    .limit(most + 1)
    .as('newest');
  // One row with a list in it: a thousand rows take longer to hand over than to find.
  const [known] = await db
    .select({
      list: sql<string>`json_group_array(json_array(${newest.id}, ${newest.kind}, ${newest.package}, ${newest.grade}, (select ${bins.code} from ${bins} where ${bins.id} = ${newest.bin}), ${newest.onHand}))`,
    })
    .from(newest);
  const found = knownRows.parse(JSON.parse(known?.list ?? '[]'));
  const ids = found.map(([id]) => id);
  const isKnown = found.length <= most;
  const heaps = isKnown
    ? found.map(([, kind, packageName, grade, bin, pieces]) => ({
        kind,
        package: packageName,
        grade,
        bin,
        n: 1,
        pieces,
      }))
    : await heapsOf(db, asked);
  return {
    rows: await lotRows(db, ids.slice(0, of.size)),
    total: heaps.reduce((sum, { n }) => sum + n, 0),
    pieces: heaps.reduce((sum, { pieces }) => sum + pieces, 0),
    facets: facetsOf(heaps, ids.length <= FEW ? await sourcesOf(db, ids) : []),
  };
}

/** A page of lots with stock left that meet a filter at face value, newest first or in the order that was asked for. */
export async function pageOfLots(
  db: Queryable,
  filter: StockFilter,
  of: { page: number; size: number; order?: LotOrder | undefined },
): Promise<LotRow[]> {
  const { asked, isBroad } = await narrowestFirst(db, filter);
  const isNear = of.page * of.size < FEW && !of.order;
  const ids = await db
    .select({ id: lots.id })
    .from(lots)
    .where(whereOf(db, asked, isBroad && isNear ? 'asked' : 'listed'))
    .orderBy(...lotOrder(filter, of.order))
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
  const rest = filter.demands.filter((demand) => demand !== of.demand);
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
            .where(
              and(
                eq(lots.id, lotRatings.lotId),
                sql`${lots.onHand} > ${lots.reserved}`,
                whereOf(db, { ...filter, demands: [] }),
                ...rest.map((other) => meets(db, other)),
              ),
            ),
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
    tightestLots(db, {
      ...filter,
      demands: [...filter.demands, ...dutyDemands(filter.duty, filter.kind?.kinds ?? [])],
    }),
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

/** The newest lots of one kind, marking, case and grade besides one; whether their values are alike is not asked. */
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
        sql`${lots.onHand} > 0`,
        isNull(lots.deletedMs),
      ),
    )
    .orderBy(desc(lots.id))
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
