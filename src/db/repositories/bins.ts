import { and, count, eq, gt, isNull, lt, sql } from 'drizzle-orm';
import type { KindName } from '../../core/part';
import type { Bin, SavedFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { bins, lotRatings, lots, savedFilters } from '../schema';

/** A drawer with what lies in it. */
export interface BinRow {
  readonly id: string;
  readonly code: string;
  readonly capacity: number | null;
  readonly lots: number;
  readonly pieces: number;
  /** When it was last counted. */
  readonly countedMs: number | null;
}

/** All drawers with what lies in them, by code. */
export async function listBins(db: Queryable): Promise<BinRow[]> {
  const heaps = db
    .select({
      binId: lots.binId,
      lots: count().as('lots_in_bin'),
      pieces: sql<number>`sum(${lots.onHand})`.as('pieces_in_bin'),
    })
    .from(lots)
    .where(and(isNull(lots.deletedMs), sql`${lots.onHand} > 0`))
    .groupBy(lots.binId)
    .as('heaps');
  const rows = await db
    .select({
      id: bins.id,
      code: bins.code,
      capacity: bins.capacity,
      countedMs: bins.countedMs,
      lots: sql<number>`coalesce(${heaps.lots}, 0)`.mapWith(Number),
      pieces: sql<number>`coalesce(${heaps.pieces}, 0)`.mapWith(Number),
    })
    .from(bins)
    .leftJoin(heaps, eq(heaps.binId, bins.id))
    .orderBy(bins.code);
  return rows.toSorted((a, b) => asCounted(a.code, b.code));
}

/** A2 stands before A10. */
export const asCounted = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

/** The drawer with a code. */
export async function findBin(db: Queryable, code: string): Promise<Bin | undefined> {
  const [row] = await db.select().from(bins).where(eq(bins.code, code));
  return row;
}

/** Codes of the lots in a drawer that have pieces left, in the order they came. */
export async function lotsInBin(db: Queryable, binId: string): Promise<string[]> {
  const rows = await db
    .select({ code: lots.code })
    .from(lots)
    .where(and(eq(lots.binId, binId), isNull(lots.deletedMs), gt(lots.onHand, 0)))
    .orderBy(lots.id);
  return rows.map(({ code }) => code);
}

/** The filters a person kept, by name. */
export async function listFilters(db: Queryable): Promise<SavedFilter[]> {
  return db.select().from(savedFilters).where(isNull(savedFilters.deletedMs)).orderBy(savedFilters.name);
}

/** A kept filter by its id. */
export async function findFilter(db: Queryable, id: string): Promise<SavedFilter | undefined> {
  const [row] = await db
    .select()
    .from(savedFilters)
    .where(and(eq(savedFilters.id, id), isNull(savedFilters.deletedMs)));
  return row;
}

export interface OldLot {
  readonly code: string;
  readonly marking: string;
  readonly kind: KindName;
  readonly bin: string;
  readonly pieces: number;
  readonly createdMs: number;
  readonly capacitanceF: number | null;
  readonly voltageV: number | null;
}

const OLD_COLUMNS = {
  code: lots.code,
  marking: lots.marking,
  kind: lots.kind,
  bin: bins.code,
  pieces: lots.onHand,
  createdMs: lots.createdMs,
  capacitanceF: sql<
    number | null
  >`(select value_si from lot_ratings r where r.lot_id = ${lots.id} and r.name = 'capacitance' and r.superseded_ms is null)`,
  voltageV: sql<
    number | null
  >`(select value_si from lot_ratings r where r.lot_id = ${lots.id} and r.name = 'voltage' and r.superseded_ms is null)`,
};

/** Electrolytics that have lain since before a moment, the oldest first. */
export async function oldElectrolytics(db: Queryable, before: number, limit: number): Promise<OldLot[]> {
  return db
    .select(OLD_COLUMNS)
    .from(lots)
    .innerJoin(bins, eq(bins.id, lots.binId))
    .innerJoin(
      lotRatings,
      and(eq(lotRatings.lotId, lots.id), eq(lotRatings.name, 'capacitance'), isNull(lotRatings.supersededMs)),
    )
    .where(
      and(
        eq(lots.kind, 'capacitor'),
        isNull(lots.deletedMs),
        gt(lots.onHand, 0),
        lt(lots.createdMs, before),
        sql`(${lots.subtype} in ('electrolytic') or (${lots.subtype} is null and ${lotRatings.valueSi} >= 1e-6))`,
      ),
    )
    .orderBy(lots.createdMs)
    .limit(limit);
}

/** Lots that no build has asked for since a moment, the oldest first. */
export async function neverWanted(db: Queryable, since: number, limit: number): Promise<OldLot[]> {
  return db
    .select(OLD_COLUMNS)
    .from(lots)
    .innerJoin(bins, eq(bins.id, lots.binId))
    .where(
      and(
        isNull(lots.deletedMs),
        gt(lots.onHand, 0),
        lt(lots.createdMs, since),
        sql`not exists (select 1 from stock_ledger l where l.lot_id = ${lots.id} and l.at_ms >= ${since} and l.reason in ('reserved', 'used', 'taken'))`,
      ),
    )
    .orderBy(lots.createdMs)
    .limit(limit);
}
