import { and, desc, eq, inArray, isNull, not, sql } from 'drizzle-orm';
import type { Queryable } from '../client';
import { builds, journal, lots, needs, stockLedger } from '../schema';

/** One change of stock that can be undone as a whole. */
export interface StockStep {
  readonly id: string;
  readonly atMs: number;
  readonly isUndone: boolean;
  /** What the journal says of it, or the line of the ledger that stands alone. */
  readonly what:
    | { readonly message: string }
    | { readonly code: string; readonly reason: string; readonly pieces: number; readonly purpose: string };
}

/** Reasons of lines that were written without a step of the journal around them, before stock had a journal. */
const ALONE = ['taken', 'reserved', 'released', 'used', 'counted'] as const;

/**
 * The latest changes of stock that belong to no donor, newest first: steps of the journal, and single lines of the ledger.
 * @param of.current only those that were not undone
 */
export async function latestStockSteps(
  db: Queryable,
  { limit, current = false }: { limit: number; current?: boolean },
): Promise<StockStep[]> {
  const undone = sql`exists (select 1 from stock_ledger u where u.undoes_id = ${stockLedger.id})`;
  const [steps, lines] = await Promise.all([
    db
      .select({ id: journal.id, atMs: journal.atMs, message: journal.message, undoneMs: journal.undoneMs })
      .from(journal)
      .where(and(inArray(journal.scope, ['stock', 'builds']), current ? isNull(journal.undoneMs) : undefined))
      .orderBy(desc(journal.id))
      .limit(limit),
    db
      .select({
        id: stockLedger.id,
        atMs: stockLedger.atMs,
        code: lots.code,
        reason: stockLedger.reason,
        onHandDelta: stockLedger.onHandDelta,
        reservedDelta: stockLedger.reservedDelta,
        note: stockLedger.note,
        build: builds.title,
        isUndone: sql<number>`${undone}`.mapWith(Boolean),
      })
      .from(stockLedger)
      .innerJoin(lots, eq(lots.id, stockLedger.lotId))
      .leftJoin(needs, eq(needs.id, stockLedger.needId))
      .leftJoin(builds, eq(builds.id, needs.buildId))
      .where(
        and(inArray(stockLedger.reason, [...ALONE]), isNull(stockLedger.journalId), current ? not(undone) : undefined),
      )
      .orderBy(desc(stockLedger.id))
      .limit(limit),
  ]);
  return [
    ...steps.map(({ id, atMs, message, undoneMs }) => ({ id, atMs, isUndone: undoneMs !== null, what: { message } })),
    ...lines.map(({ id, atMs, isUndone, code, reason, onHandDelta, reservedDelta, note, build }) => ({
      id,
      atMs,
      isUndone,
      what: { code, reason, pieces: Math.abs(onHandDelta === 0 ? reservedDelta : onHandDelta), purpose: build ?? note },
    })),
  ]
    .sort((a, b) => (a.id < b.id ? 1 : -1))
    .slice(0, limit);
}
