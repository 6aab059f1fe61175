import { and, asc, count, desc, eq, exists, gt, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import type { Grade, Limit } from '../../core/measure';
import { kindsServing } from '../../core/part';
import type { StockFilter } from '../../core/stock';
import type { Bench } from '../bench';
import type { Queryable } from '../client';
import { bins, builds, donors, lotRatings, lots, needs, parts, stockLedger } from '../schema';
import { freshCode } from './codes';
import { appendLedger, type Edit } from './journal';
import { demandWhere, ratingRow, ratingsOfLots, type NewRating, type Ratings } from './ratings';
import { begins, holds } from './text';

export type Lot = typeof lots.$inferSelect;

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
}

/** A page of lots with stock left that meet a filter at face value, newest first. */
export async function searchLots(
  db: Queryable,
  filter: StockFilter,
  of: { page: number; size: number },
): Promise<LotPage> {
  const where = whereOf(db, filter);
  const ids = await db
    .select({ id: lots.id })
    .from(lots)
    .where(where)
    .orderBy(desc(lots.id))
    .limit(of.size)
    .offset(of.page * of.size);
  const [sums] = await db
    .select({ total: count(), pieces: sql<number>`coalesce(sum(${lots.onHand}), 0)` })
    .from(lots)
    .where(where);
  return {
    rows: await lotRows(
      db,
      ids.map(({ id }) => id),
    ),
    total: sums?.total ?? 0,
    pieces: Number(sums?.pieces ?? 0),
  };
}

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

/** Lots of a kind with stock left that carry the filter's words, whatever their ratings, for matching in core. */
export async function candidateLots(db: Queryable, filter: StockFilter, limit: number): Promise<LotRow[]> {
  const { rows } = await searchLots(db, { ...filter, demands: [] }, { page: 0, size: limit });
  return [...rows];
}

/** A lot that comes from no donor, counted in by hand. Returns its code and the ledger line. */
export async function insertLot(
  tx: Queryable,
  bench: Bench,
  of: Pick<HarvestedPiece, 'kind' | 'subtype' | 'marking' | 'package' | 'grade' | 'gradeReason' | 'bin' | 'ratings'> & {
    pieces: number;
  },
): Promise<{ code: string; lineId: string }> {
  const { bin, ratings, pieces, ...facts } = of;
  const [lotId, code, now] = [bench.newKey(), await freshCode(tx, bench, 'lot'), bench.now()];
  await tx.insert(lots).values({ id: lotId, code, binId: await ensureBin(tx, bench, bin), ...facts, createdMs: now });
  for (const rating of ratings)
    await tx.insert(lotRatings).values({ id: bench.newKey(), lotId, ...ratingRow(rating, now) });
  const lineId = await appendLedger(tx, bench, {
    lotId,
    onHandDelta: pieces,
    reservedDelta: 0,
    reason: 'counted',
    note: 'by hand',
  });
  return { code, lineId };
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

export interface LedgerLine {
  readonly id: string;
  readonly atMs: number;
  readonly onHandDelta: number;
  readonly reservedDelta: number;
  readonly reason: (typeof stockLedger.$inferSelect)['reason'];
  readonly note: string;
  readonly build: { readonly code: string; readonly title: string } | null;
}

/** What happened to a lot, oldest first. */
export async function lotLedger(db: Queryable, lotId: string): Promise<LedgerLine[]> {
  const rows = await db
    .select({ line: stockLedger, code: builds.code, title: builds.title })
    .from(stockLedger)
    .leftJoin(needs, eq(needs.id, stockLedger.needId))
    .leftJoin(builds, eq(builds.id, needs.buildId))
    .where(eq(stockLedger.lotId, lotId))
    .orderBy(asc(stockLedger.id));
  return rows.map(({ line, code, title }) => ({
    id: line.id,
    atMs: line.atMs,
    onHandDelta: line.onHandDelta,
    reservedDelta: line.reservedDelta,
    reason: line.reason,
    note: line.note,
    build: code === null || title === null ? null : { code, title },
  }));
}

/** The bin with a code, made when it is new. Codes are upper case. */
export async function ensureBin(tx: Queryable, bench: Bench, code: string): Promise<string> {
  const [row] = await tx.select({ id: bins.id }).from(bins).where(eq(bins.code, code));
  if (row) return row.id;
  const id = bench.newKey();
  await tx.insert(bins).values({ id, code, createdMs: bench.now() });
  return id;
}

/** A harvested piece as it goes into a drawer. */
export interface HarvestedPiece {
  readonly partId: string;
  readonly ref: string;
  readonly kind: Lot['kind'];
  readonly subtype: string | null;
  readonly technology: string | null;
  readonly marking: string;
  readonly package: string | null;
  readonly typeId: string | null;
  readonly grade: Grade | null;
  readonly gradeReason: string;
  readonly limits: readonly Limit[];
  readonly bin: string;
  /** Ratings with the present one of each name last; earlier ones become its history. */
  readonly ratings: readonly NewRating[];
}

/**
 * Puts a piece into stock: it joins the lot of like parts of the same grade from the same donor in
 * the same bin, if there is one with the same marking, or begins a lot.
 * @returns the lot's code
 */
export async function stockPiece(edit: Edit, piece: HarvestedPiece, pieces = 1): Promise<string> {
  const { tx, bench, donorId } = edit;
  const binId = await ensureBin(tx, bench, piece.bin);
  const like = piece.marking === '' ? undefined : await likeLot(tx, donorId, binId, piece);
  const note = `${piece.ref} taken from the board`;
  const entry = { onHandDelta: pieces, reservedDelta: 0, reason: 'harvested', note } as const;
  if (like) {
    await edit.ledger({ lotId: like.id, ...entry });
    return like.code;
  }
  const { ref: _ref, bin: _bin, ratings, ...facts } = piece;
  const code = await freshCode(tx, bench, 'lot');
  const lotId = await edit.insert('lots', { code, binId, donorId, ...facts, createdMs: bench.now() });
  for (const [index, rating] of ratings.entries()) {
    const superseded = ratings.slice(index + 1).some(({ name }) => name === rating.name);
    const now = bench.now();
    await edit.insert('lotRatings', { lotId, ...ratingRow(rating, now), supersededMs: superseded ? now : null });
  }
  await edit.ledger({ lotId, ...entry });
  return code;
}

async function likeLot(tx: Queryable, donorId: string, binId: string, piece: HarvestedPiece): Promise<Lot | undefined> {
  const [lot] = await tx
    .select()
    .from(lots)
    .where(
      and(
        eq(lots.donorId, donorId),
        eq(lots.binId, binId),
        eq(lots.kind, piece.kind),
        eq(lots.marking, piece.marking),
        piece.grade === null ? isNull(lots.grade) : eq(lots.grade, piece.grade),
        isNull(lots.deletedMs),
      ),
    );
  return lot;
}

/** Codes of bins, for completion. */
export async function listBinCodes(db: Queryable): Promise<string[]> {
  return (await db.select({ code: bins.code }).from(bins).orderBy(bins.code).limit(500)).map(({ code }) => code);
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

/** Takes pieces out of a lot for a purpose outside builds. The database refuses more than is free. */
export function takeFromLot(bench: Bench, of: { lotId: string; quantity: number; note: string }): Promise<string> {
  return bench.db.write((tx) =>
    appendLedger(tx, bench, {
      lotId: of.lotId,
      onHandDelta: -of.quantity,
      reservedDelta: 0,
      reason: 'taken',
      note: of.note,
    }),
  );
}

/** The present ratings of a lot with their rows, for splitting and joining. */
export async function ratingRowsOf(db: Queryable, lotId: string): Promise<(typeof lotRatings.$inferSelect)[]> {
  return db
    .select()
    .from(lotRatings)
    .where(and(eq(lotRatings.lotId, lotId), isNull(lotRatings.supersededMs)));
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
