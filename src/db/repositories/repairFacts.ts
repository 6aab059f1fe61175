import { and, eq, isNull } from 'drizzle-orm';
import type { RepairFact } from '../../core/diagnose';
import type { Queryable } from '../client';
import { repairFacts } from '../schema';

/** What was told and checked of a donor's fault, in that order. */
export async function listRepairFacts(db: Queryable, donorId: string): Promise<RepairFact[]> {
  return db
    .select()
    .from(repairFacts)
    .where(and(eq(repairFacts.donorId, donorId), isNull(repairFacts.deletedMs)))
    .orderBy(repairFacts.id);
}

/** One of them by its id. */
export async function repairFactById(db: Queryable, donorId: string, id: string): Promise<RepairFact | undefined> {
  const [row] = await db
    .select()
    .from(repairFacts)
    .where(and(eq(repairFacts.donorId, donorId), eq(repairFacts.id, id), isNull(repairFacts.deletedMs)));
  return row;
}
