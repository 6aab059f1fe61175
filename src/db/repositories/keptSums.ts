import { and, eq, isNull } from 'drizzle-orm';
import type { KeptSum } from '../../core/sums';
import type { Queryable } from '../client';
import { keptSums } from '../schema';

/** What sums are kept with. */
export type SumOwner = { readonly donorId: string } | { readonly buildId: string };

/** The sums kept with a donor or a build, in the order they were kept. */
export async function listKeptSums(db: Queryable, owner: SumOwner): Promise<KeptSum[]> {
  const owned = 'donorId' in owner ? eq(keptSums.donorId, owner.donorId) : eq(keptSums.buildId, owner.buildId);
  return db
    .select()
    .from(keptSums)
    .where(and(owned, isNull(keptSums.deletedMs)))
    .orderBy(keptSums.id);
}

/** One of them by its id. */
export async function keptSumById(db: Queryable, id: string): Promise<KeptSum | undefined> {
  const [row] = await db
    .select()
    .from(keptSums)
    .where(and(eq(keptSums.id, id), isNull(keptSums.deletedMs)));
  return row;
}
