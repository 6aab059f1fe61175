import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Bench } from '../context';
import type { Queryable } from '../client';
import { builds, lots, needs, stockLedger } from '../schema';
import { freshCode } from './codes';
import { appendLedger } from './journal';

export type Build = typeof builds.$inferSelect;
export type Need = typeof needs.$inferSelect;

/** What one lot gives to one need. */
export interface Allocation {
  readonly needId: string;
  readonly lotId: string;
  readonly lotCode: string;
  readonly marking: string;
  readonly reserved: number;
  readonly used: number;
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
      reserved: sql<number>`sum(${stockLedger.reservedDelta})`,
      used: sql<number>`-sum(${stockLedger.onHandDelta})`,
    })
    .from(stockLedger)
    .innerJoin(lots, eq(lots.id, stockLedger.lotId))
    .where(inArray(stockLedger.needId, [...needIds]))
    .groupBy(stockLedger.needId, lots.id);
  return rows
    .map((row) => ({ ...row, needId: row.needId ?? '', reserved: Number(row.reserved), used: Number(row.used) }))
    .filter(({ reserved, used }) => reserved > 0 || used > 0);
}

/** Some pieces of a lot for a need. */
export interface Portion {
  readonly lotId: string;
  readonly needId: string;
  readonly quantity: number;
}

/** Writes down a build and returns it. */
export async function insertBuild(tx: Queryable, bench: Bench, of: { title: string; note: string }): Promise<Build> {
  const build = { id: bench.newKey(), code: await freshCode(tx, bench, 'build'), ...of, createdMs: bench.now() };
  await tx.insert(builds).values(build);
  return { ...build, deletedMs: null };
}

/** Adds a need to a build. Returns its id. */
export async function insertNeed(
  tx: Queryable,
  bench: Bench,
  of: { buildId: string; role: string; filter: string; quantity: number },
): Promise<string> {
  const id = bench.newKey();
  await tx.insert(needs).values({ id, ...of, createdMs: bench.now() });
  return id;
}

/** A need that was not struck. */
export async function findNeed(db: Queryable, id: string): Promise<Need | undefined> {
  const [need] = await db
    .select()
    .from(needs)
    .where(and(eq(needs.id, id), isNull(needs.deletedMs)));
  return need;
}

/** Strikes a need out, or puts it back. */
export async function markNeedDeleted(tx: Queryable, needId: string, deletedMs: number | null): Promise<void> {
  await tx.update(needs).set({ deletedMs }).where(eq(needs.id, needId));
}

/** Sets pieces of a lot aside for a need. The database refuses more than is free. */
export function reserve(tx: Queryable, bench: Bench, of: Portion): Promise<string> {
  return appendLedger(tx, bench, {
    lotId: of.lotId,
    needId: of.needId,
    onHandDelta: 0,
    reservedDelta: of.quantity,
    reason: 'reserved',
    note: '',
  });
}

/** Gives reserved pieces back to stock. */
export function release(tx: Queryable, bench: Bench, of: Portion): Promise<string> {
  return appendLedger(tx, bench, {
    lotId: of.lotId,
    needId: of.needId,
    onHandDelta: 0,
    reservedDelta: -of.quantity,
    reason: 'released',
    note: '',
  });
}

/** Puts reserved pieces into the build: they leave stock. */
export function use(tx: Queryable, bench: Bench, of: Portion): Promise<string> {
  return appendLedger(tx, bench, {
    lotId: of.lotId,
    needId: of.needId,
    onHandDelta: -of.quantity,
    reservedDelta: -of.quantity,
    reason: 'used',
    note: '',
  });
}
