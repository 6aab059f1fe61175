import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Donor } from '../../core/donor';
import type { Queryable } from '../client';
import { boardFacts, donors, partRatings, parts, soakRows } from '../schema';

/** What of a donor goes into a trend. */
export type DatedDonor = Pick<
  Donor,
  'id' | 'kind' | 'plate' | 'nameplate' | 'dateCodes' | 'lengthM' | 'widthM' | 'heightM' | 'massKg'
>;

/** Every donor with what a trend is made of. */
export async function datedDonors(db: Queryable): Promise<readonly DatedDonor[]> {
  const { id, kind, plate, nameplate, dateCodes, lengthM, widthM, heightM, massKg } = donors;
  return db
    .select({ id, kind, plate, nameplate, dateCodes, lengthM, widthM, heightM, massKg })
    .from(donors)
    .where(isNull(donors.deletedMs));
}

/** Hours that the longest-lived can of each donor is rated for, by donor. */
export async function hoursByDonor(db: Queryable): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ donorId: parts.donorId, hours: sql<number>`max(${partRatings.valueSi})`.mapWith(Number) })
    .from(partRatings)
    .innerJoin(parts, and(eq(parts.id, partRatings.partId), isNull(parts.deletedMs)))
    .where(and(eq(partRatings.name, 'life'), isNull(partRatings.supersededMs)))
    .groupBy(parts.donorId);
  return new Map(rows.map(({ donorId, hours }) => [donorId, hours]));
}

/** The best efficiency that a run under load showed, by donor. */
export async function efficiencyByDonor(db: Queryable): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({
      donorId: soakRows.donorId,
      best: sql<number>`max(${soakRows.outputV} * ${soakRows.loadA} / ${soakRows.inputW})`.mapWith(Number),
    })
    .from(soakRows)
    .where(and(isNull(soakRows.deletedMs), sql`${soakRows.inputW} > 0 and ${soakRows.loadA} > 0`))
    .groupBy(soakRows.donorId);
  return new Map(rows.map(({ donorId, best }) => [donorId, best]));
}

/** Donors with anything traced, the newest first. */
export async function tracedDonors(db: Queryable, limit: number): Promise<readonly Donor[]> {
  const traced = db.selectDistinct({ id: boardFacts.donorId }).from(boardFacts).where(isNull(boardFacts.deletedMs));
  return db
    .select()
    .from(donors)
    .where(and(isNull(donors.deletedMs), inArray(donors.id, traced)))
    .orderBy(desc(donors.createdMs))
    .limit(limit);
}
