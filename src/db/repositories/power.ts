import { and, inArray, isNull } from 'drizzle-orm';
import type { PowerHistory } from '../../core/safety';
import type { Queryable } from '../client';
import { powerEvents } from '../schema';

/** When power was last put to each of some donors, and taken away. */
export async function powerHistories(db: Queryable, donorIds: readonly string[]): Promise<Map<string, PowerHistory>> {
  const rows = await db
    .select()
    .from(powerEvents)
    .where(and(inArray(powerEvents.donorId, [...donorIds]), isNull(powerEvents.deletedMs)))
    .orderBy(powerEvents.atMs, powerEvents.id);
  const histories = new Map<string, PowerHistory>();
  for (const { donorId, applied, atMs } of rows)
    histories.set(donorId, { ...histories.get(donorId), ...(applied ? { appliedAt: atMs } : { removedAt: atMs }) });
  return histories;
}

/** When power was last put to a donor, and taken away. */
export async function powerHistory(db: Queryable, donorId: string): Promise<PowerHistory> {
  return (await powerHistories(db, [donorId])).get(donorId) ?? {};
}
