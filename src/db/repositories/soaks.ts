import type { RecordedSoakRow } from '../../core/soak';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Queryable } from '../client';
import { soakRows } from '../schema';
import type { Edit } from './journal';

/** The rows of a donor's latest run under load, in order. */
export async function latestSoak(db: Queryable, donorId: string): Promise<RecordedSoakRow[]> {
  const [last] = await db
    .select({ run: soakRows.run })
    .from(soakRows)
    .where(and(eq(soakRows.donorId, donorId), isNull(soakRows.deletedMs)))
    .orderBy(desc(soakRows.run))
    .limit(1);
  if (!last) return [];
  return db
    .select()
    .from(soakRows)
    .where(and(eq(soakRows.donorId, donorId), eq(soakRows.run, last.run), isNull(soakRows.deletedMs)))
    .orderBy(soakRows.elapsedS, soakRows.id);
}

/** The rows of the latest run under load of every donor, by donor. */
export async function latestSoaks(db: Queryable): Promise<ReadonlyMap<string, readonly RecordedSoakRow[]>> {
  const rows = await db
    .select()
    .from(soakRows)
    .where(isNull(soakRows.deletedMs))
    .orderBy(soakRows.elapsedS, soakRows.id);
  const last = new Map<string, number>();
  for (const { donorId, run } of rows) last.set(donorId, Math.max(run, last.get(donorId) ?? run));
  const found = new Map<string, RecordedSoakRow[]>();
  for (const row of rows)
    if (row.run === last.get(row.donorId)) found.set(row.donorId, [...(found.get(row.donorId) ?? []), row]);
  return found;
}

/** A pause longer than this between rows by the clock begins a new run. Common practice, no source. */
const RUN_GAP_MS = 3600_000;

/**
 * Adds a row; without a time it counts by the clock from the run's first. A row with an earlier time was remembered late
 * and belongs to the same run; a new one begins at zero, or after a long pause.
 * @returns whether a new run begins with it
 */
export async function addSoakRow(
  edit: Edit,
  row: Pick<RecordedSoakRow, 'inputW' | 'caseC' | 'outputV' | 'loadA' | 'remark'> & { elapsed?: number | undefined },
): Promise<boolean> {
  const earlier = await latestSoak(edit.tx, edit.donorId);
  const now = edit.app.now();
  const lastMs = Math.max(...earlier.map(({ takenMs }) => takenMs));
  const last = earlier.at(-1);
  // The latest row that was written down tells how the clock of the run stands.
  const latest = earlier
    .toSorted((a, b) => a.takenMs - b.takenMs)
    .findLast(({ elapsedS }) => elapsedS === last?.elapsedS);
  const byClock = latest ? latest.elapsedS + (now - latest.takenMs) / 1000 : 0;
  const elapsed = row.elapsed ?? Math.round(byClock);
  const isBeginning = row.elapsed === 0 && earlier.some(({ elapsedS }) => elapsedS > 0);
  const fresh = last !== undefined && (now - lastMs > RUN_GAP_MS || isBeginning);
  const { inputW, caseC, outputV, loadA, remark } = row;
  await edit.insert('soakRows', {
    ...{ inputW, caseC, outputV, loadA, remark },
    donorId: edit.donorId,
    run: (last?.run ?? 1) + (fresh ? 1 : 0),
    elapsedS: fresh && row.elapsed === undefined ? 0 : elapsed,
    takenMs: now,
  });
  return fresh;
}
