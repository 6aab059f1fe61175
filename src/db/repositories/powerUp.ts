import { and, eq, isNull } from 'drizzle-orm';
import type { Mark } from '../../core/bringup';
import type { Queryable } from '../client';
import { powerUpMarks } from '../schema';

/** How the steps of a donor's first power-ups were answered, in that order. */
export async function listPowerUpMarks(db: Queryable, donorId: string): Promise<Mark[]> {
  return db
    .select()
    .from(powerUpMarks)
    .where(and(eq(powerUpMarks.donorId, donorId), isNull(powerUpMarks.deletedMs)))
    .orderBy(powerUpMarks.id);
}
