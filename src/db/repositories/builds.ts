import type { Build, Need } from '../../core/build';
import { and, desc, eq, inArray, isNotNull, isNull, or, sql } from 'drizzle-orm';
import type { Queryable } from '../client';
import { builds, journal, lots, needs, stockLedger } from '../schema';

/** What one lot gives to one need. */
export interface Allocation {
  readonly needId: string;
  readonly lotId: string;
  readonly lotCode: string;
  readonly marking: string;
  readonly reserved: number;
  readonly used: number;
  /** Why what is set aside of it is scrap, if it was found to be so since. */
  readonly scrap: string | null;
}

export interface BuildWithNeeds {
  readonly build: Build;
  readonly needs: readonly {
    readonly need: Need;
    readonly allocations: readonly Allocation[];
    readonly filled: number;
  }[];
}

/** Builds with their needs, newest first. */
export async function listBuilds(db: Queryable, limit: number): Promise<BuildWithNeeds[]> {
  return withNeeds(
    db,
    await db.select().from(builds).where(isNull(builds.deletedMs)).orderBy(desc(builds.id)).limit(limit),
  );
}

/** What was done to a build, newest first: to itself, to its needs, and to the stock for them. */
export async function stepsOfBuild(
  db: Queryable,
  buildId: string,
  limit: number,
): Promise<{ readonly id: string; readonly atMs: number; readonly message: string; readonly isUndone: boolean }[]> {
  const own = await db.select({ id: needs.id }).from(needs).where(eq(needs.buildId, buildId));
  const ids = own.map(({ id }) => id);
  const moved = db
    .select({ id: stockLedger.journalId })
    .from(stockLedger)
    .where(and(inArray(stockLedger.needId, ids), isNotNull(stockLedger.journalId)));
  const rows = await db
    .select({ id: journal.id, atMs: journal.atMs, message: journal.message, undoneMs: journal.undoneMs })
    .from(journal)
    .where(
      and(
        eq(journal.scope, 'builds'),
        or(inArray(journal.id, moved), ...[buildId, ...ids].map((id) => sql`instr(${journal.changes}, ${id}) > 0`)),
      ),
    )
    .orderBy(desc(journal.id))
    .limit(limit);
  return rows.map(({ id, atMs, message, undoneMs }) => ({ id, atMs, message, isUndone: undoneMs !== null }));
}

/** The build with a code. */
export async function findBuild(db: Queryable, code: string): Promise<BuildWithNeeds | undefined> {
  return (
    await withNeeds(
      db,
      await db
        .select()
        .from(builds)
        .where(and(eq(builds.code, code), isNull(builds.deletedMs))),
    )
  )[0];
}

async function withNeeds(db: Queryable, rows: readonly Build[]): Promise<BuildWithNeeds[]> {
  if (rows.length === 0) return [];
  const needRows = await db
    .select()
    .from(needs)
    .where(
      and(
        inArray(
          needs.buildId,
          rows.map(({ id }) => id),
        ),
        isNull(needs.deletedMs),
      ),
    )
    .orderBy(needs.id);
  const allocations = await allocationsOf(
    db,
    needRows.map(({ id }) => id),
  );
  return rows.map((build) => ({
    build,
    needs: needRows
      .filter(({ buildId }) => buildId === build.id)
      .map((need) => {
        const own = allocations.filter(({ needId }) => needId === need.id);
        return { need, allocations: own, filled: own.reduce((sum, { reserved, used }) => sum + reserved + used, 0) };
      }),
  }));
}

/** What the ledger says each lot gives to each need; lots that gave nothing are left out. */
export async function allocationsOf(db: Queryable, needIds: readonly string[]): Promise<Allocation[]> {
  if (needIds.length === 0) return [];
  const rows = await db
    .select({
      needId: stockLedger.needId,
      lotId: lots.id,
      lotCode: lots.code,
      marking: lots.marking,
      grade: lots.grade,
      gradeReason: lots.gradeReason,
      reserved: sql<number>`sum(${stockLedger.reservedDelta})`,
      used: sql<number>`-sum(${stockLedger.onHandDelta})`,
    })
    .from(stockLedger)
    .innerJoin(lots, eq(lots.id, stockLedger.lotId))
    .where(inArray(stockLedger.needId, [...needIds]))
    .groupBy(stockLedger.needId, lots.id);
  return rows
    .map(({ grade, gradeReason, ...row }) => ({
      ...row,
      needId: row.needId ?? '',
      reserved: Number(row.reserved),
      used: Number(row.used),
      scrap: grade === 'reject' && Number(row.reserved) > 0 ? gradeReason : null,
    }))
    .filter(({ reserved, used }) => reserved > 0 || used > 0);
}

/** A need that was not deleted. */
export async function findNeed(db: Queryable, id: string): Promise<Need | undefined> {
  const [need] = await db
    .select()
    .from(needs)
    .where(and(eq(needs.id, id), isNull(needs.deletedMs)));
  return need;
}
