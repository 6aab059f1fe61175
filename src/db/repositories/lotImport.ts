import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { LotEntry } from '../../core/stock';
import type { Pause } from '../../core/steps';
import type { AppContext } from '../context';
import type { Queryable } from '../client';
import { bins, lots, stockLedger } from '../schema';

const ROWS_AT_ONCE = 1000;

/** Codes of a list that lots carry already, deleted ones too: a code is never given twice. */
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
export async function bringIn(
  tx: Queryable,
  app: AppContext,
  of: { entries: readonly LotEntry[]; note: string; pause: Pause },
): Promise<void> {
  const { entries, note, pause } = of;
  const now = app.now();
  const binIds = new Map<string, string>();
  for (const { id, code } of await tx.select({ id: bins.id, code: bins.code }).from(bins)) binIds.set(code, id);
  for (const code of new Set(entries.map(({ bin }) => bin))) {
    if (binIds.has(code)) continue;
    const id = app.newKey();
    await tx.insert(bins).values({ id, code, createdMs: now });
    binIds.set(code, id);
  }
  const given = new Set(entries.map(({ code }) => code));
  for (let start = 0; start < entries.length; start += ROWS_AT_ONCE) {
    await pause(start / entries.length);
    const some = entries.slice(start, start + ROWS_AT_ONCE).map((entry) => ({ entry, id: app.newKey() }));
    const fresh = await freshCodes(tx, app, some.filter(({ entry }) => entry.code === '').length, given);
    await insertAll(
      tx,
      'lots',
      some.map(({ entry, id }) => ({
        id,
        code: entry.code || (fresh.pop() ?? ''),
        kind: entry.kind,
        subtype: entry.subtype || null,
        technology: entry.technology || null,
        marking: entry.marking,
        package: entry.package || null,
        grade: entry.grade || null,
        grade_reason: entry.note,
        limits: JSON.stringify(entry.limits),
        bin_id: binIds.get(entry.bin) ?? '',
        created_ms: now,
      })),
    );
    await insertAll(
      tx,
      'lot_ratings',
      some.flatMap(({ entry, id }) =>
        Object.entries(entry.ratings).map(([name, rating]) => ({
          id: app.newKey(),
          lot_id: id,
          name,
          value_si: rating.value,
          source: rating.source,
          confidence: rating.confidence ?? null,
          recorded_ms: now,
        })),
      ),
    );
    await insertAll(
      tx,
      'stock_ledger',
      some.map(({ entry, id }) => ({
        id: app.newKey(),
        lot_id: id,
        at_ms: now,
        on_hand_delta: entry.pieces,
        reserved_delta: 0,
        reason: 'imported',
        note,
      })),
    );
  }
  // The last moment at which it can be stopped.
  await pause(1);
}

/** Rows of one shape in one statement, handed over as JSON: many times faster than a value at a time. */
async function insertAll(
  tx: Queryable,
  table: 'lots' | 'lot_ratings' | 'stock_ledger',
  rows: readonly Readonly<Record<string, string | number | null>>[],
): Promise<void> {
  const columns = Object.keys(rows[0] ?? {});
  if (columns.length === 0) return;
  const names = columns.map((column) => sql.identifier(column));
  const values = columns.map((column) => sql`json_extract(value, ${`$.${column}`})`);
  await tx.run(
    sql`insert into ${sql.identifier(table)} (${sql.join(names, sql`, `)})
      select ${sql.join(values, sql`, `)} from json_each(${JSON.stringify(rows)})`,
  );
}

/** So many codes that no lot carries and none of the list was given. */
async function freshCodes(tx: Queryable, app: AppContext, count: number, given: Set<string>): Promise<string[]> {
  const codes: string[] = [];
  while (codes.length < count) {
    const drawn = new Set<string>();
    while (drawn.size < count - codes.length) {
      const code = app.newCode('lot');
      if (!given.has(code)) drawn.add(code);
    }
    const taken = await codesTaken(tx, [...drawn]);
    for (const code of drawn) {
      given.add(code);
      if (!taken.has(code)) codes.push(code);
    }
  }
  return codes;
}

/**
 * Takes lots that came in together out again: an opposite line for each, and the lots are deleted.
 * @returns codes of lots to which something else happened since; then nothing was touched
 */
export async function sendBack(tx: Queryable, app: AppContext, note: string): Promise<readonly string[]> {
  const came = tx
    .select({ id: stockLedger.lotId })
    .from(stockLedger)
    .where(and(eq(stockLedger.reason, 'imported'), eq(stockLedger.note, note)));
  const touched = await tx
    .selectDistinct({ code: lots.code })
    .from(stockLedger)
    .innerJoin(lots, eq(lots.id, stockLedger.lotId))
    .where(and(inArray(stockLedger.lotId, came), sql`${stockLedger.reason} <> 'imported'`))
    .orderBy(lots.code);
  if (touched.length > 0) return touched.map(({ code }) => code);
  const now = app.now();
  const lines = await tx
    .select()
    .from(stockLedger)
    .where(and(eq(stockLedger.reason, 'imported'), eq(stockLedger.note, note)));
  for (let start = 0; start < lines.length; start += ROWS_AT_ONCE)
    await insertAll(
      tx,
      'stock_ledger',
      lines.slice(start, start + ROWS_AT_ONCE).map(({ id, lotId, onHandDelta }) => ({
        id: app.newKey(),
        lot_id: lotId,
        at_ms: now,
        on_hand_delta: -onHandDelta,
        reserved_delta: 0,
        reason: 'undone',
        note,
        undoes_id: id,
      })),
    );
  await tx
    .update(lots)
    .set({ deletedMs: now })
    .where(and(inArray(lots.id, came), isNull(lots.deletedMs)));
  return [];
}
