import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { LotEntry } from '../../core/stock';
import type { Bench } from '../bench';
import type { Queryable } from '../client';
import { bins, lotRatings, lots, stockLedger } from '../schema';
import { freshCode } from './codes';

/** SQLite binds some thousands of values a statement. */
const ROWS_AT_ONCE = 200;

/** Codes of a list that lots carry already, struck ones too: a code is never given twice. */
export async function codesTaken(db: Queryable, codes: readonly string[]): Promise<ReadonlySet<string>> {
  const taken = new Set<string>();
  for (let start = 0; start < codes.length; start += ROWS_AT_ONCE) {
    const some = codes.slice(start, start + ROWS_AT_ONCE);
    for (const { code } of await db.select({ code: lots.code }).from(lots).where(inArray(lots.code, some)))
      taken.add(code);
  }
  return taken;
}

/**
 * Writes many lots with their ratings and their lines in the ledger, which carry the note.
 * @param entries those with a code keep it; it must be free
 */
export async function bringIn(tx: Queryable, bench: Bench, entries: readonly LotEntry[], note: string): Promise<void> {
  const now = bench.now();
  const binIds = new Map<string, string>();
  for (const { id, code } of await tx.select({ id: bins.id, code: bins.code }).from(bins)) binIds.set(code, id);
  for (const code of new Set(entries.map(({ bin }) => bin))) {
    if (binIds.has(code)) continue;
    const id = bench.newKey();
    await tx.insert(bins).values({ id, code, createdMs: now });
    binIds.set(code, id);
  }
  const given = new Set(entries.map(({ code }) => code));
  const anotherCode = async (): Promise<string> => {
    for (;;) {
      const code = await freshCode(tx, bench, 'lot');
      if (given.has(code)) continue;
      given.add(code);
      return code;
    }
  };
  for (let start = 0; start < entries.length; start += ROWS_AT_ONCE) {
    const some = entries.slice(start, start + ROWS_AT_ONCE).map((entry) => ({ entry, id: bench.newKey() }));
    const rows: (typeof lots.$inferInsert)[] = [];
    for (const { entry, id } of some)
      rows.push({
        id,
        code: entry.code || (await anotherCode()),
        kind: entry.kind,
        subtype: entry.subtype || null,
        technology: entry.technology || null,
        marking: entry.marking,
        package: entry.package || null,
        grade: entry.grade || null,
        gradeReason: entry.note,
        limits: entry.limits,
        binId: binIds.get(entry.bin) ?? '',
        createdMs: now,
      });
    await tx.insert(lots).values(rows);
    const ratings = some.flatMap(({ entry, id }) =>
      Object.entries(entry.ratings).map(([name, rating]) => ({
        id: bench.newKey(),
        lotId: id,
        name: name as keyof LotEntry['ratings'],
        valueSi: rating.value,
        source: rating.source,
        recordedMs: now,
      })),
    );
    for (let from = 0; from < ratings.length; from += ROWS_AT_ONCE)
      await tx.insert(lotRatings).values(ratings.slice(from, from + ROWS_AT_ONCE));
    await tx.insert(stockLedger).values(
      some.map(({ entry, id }) => ({
        id: bench.newKey(),
        lotId: id,
        atMs: now,
        onHandDelta: entry.pieces,
        reservedDelta: 0,
        reason: 'imported' as const,
        note,
      })),
    );
  }
}

/**
 * Takes lots that came in together out again: an opposite line for each, and the lots are struck.
 * @returns false when something else happened to one of them since, and nothing was touched
 */
export async function sendBack(tx: Queryable, bench: Bench, note: string): Promise<boolean> {
  const came = tx
    .select({ id: stockLedger.lotId })
    .from(stockLedger)
    .where(and(eq(stockLedger.reason, 'imported'), eq(stockLedger.note, note)));
  const [touched] = await tx
    .select({ n: sql<number>`count(*)` })
    .from(stockLedger)
    .where(and(inArray(stockLedger.lotId, came), sql`${stockLedger.reason} <> 'imported'`));
  if (Number(touched?.n ?? 0) > 0) return false;
  const now = bench.now();
  const lines = await tx
    .select()
    .from(stockLedger)
    .where(and(eq(stockLedger.reason, 'imported'), eq(stockLedger.note, note)));
  for (let start = 0; start < lines.length; start += ROWS_AT_ONCE)
    await tx.insert(stockLedger).values(
      lines.slice(start, start + ROWS_AT_ONCE).map(({ id, lotId, onHandDelta }) => ({
        id: bench.newKey(),
        lotId,
        atMs: now,
        onHandDelta: -onHandDelta,
        reservedDelta: 0,
        reason: 'undone' as const,
        note,
        undoesId: id,
      })),
    );
  await tx
    .update(lots)
    .set({ deletedMs: now })
    .where(and(inArray(lots.id, came), isNull(lots.deletedMs)));
  return true;
}
