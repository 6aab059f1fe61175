import { and, eq, inArray, isNull } from 'drizzle-orm';
import { isPowered, type UnitHistory } from '../../core/safety';
import type { Queryable } from '../client';
import { donors, meterChecks, powerEvents } from '../schema';

/** When power was last put to each of some donors and taken away, and when the meter was last checked at each. */
export async function unitHistories(db: Queryable, donorIds: readonly string[]): Promise<Map<string, UnitHistory>> {
  const [power, checks] = await Promise.all([
    db
      .select()
      .from(powerEvents)
      .where(and(inArray(powerEvents.donorId, [...donorIds]), isNull(powerEvents.deletedMs)))
      .orderBy(powerEvents.atMs, powerEvents.id),
    db
      .select()
      .from(meterChecks)
      .where(and(inArray(meterChecks.donorId, [...donorIds]), isNull(meterChecks.deletedMs)))
      .orderBy(meterChecks.atMs),
  ]);
  const histories = new Map<string, UnitHistory>();
  const add = (donorId: string, what: UnitHistory) => histories.set(donorId, { ...histories.get(donorId), ...what });
  for (const { donorId, applied, atMs } of power) add(donorId, applied ? { appliedAt: atMs } : { removedAt: atMs });
  for (const { donorId, atMs } of checks) add(donorId, { meterCheckedAt: atMs });
  return histories;
}

/** What happened to one donor. */
export async function unitHistory(db: Queryable, donorId: string): Promise<UnitHistory> {
  return (await unitHistories(db, [donorId])).get(donorId) ?? {};
}

/** Codes of the donors that have power on. */
export async function poweredDonors(db: Queryable): Promise<string[]> {
  const rows = await db
    .selectDistinct({ id: donors.id, code: donors.code })
    .from(donors)
    .innerJoin(powerEvents, eq(powerEvents.donorId, donors.id))
    .where(and(isNull(donors.deletedMs), isNull(powerEvents.deletedMs)));
  const histories = await unitHistories(
    db,
    rows.map(({ id }) => id),
  );
  return rows.flatMap(({ id, code }) => (isPowered(histories.get(id) ?? {}) ? [code] : []));
}
