import { and, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Queryable } from '../client';
import { donors, openingSteps, parts } from '../schema';

/** A donor with what was met in it. */
export interface MetIn {
  readonly name: string;
  readonly code: string;
}

/** Which donors each seam was opened at. */
export async function seamsMet(db: Queryable): Promise<readonly MetIn[]> {
  return db
    .selectDistinct({ name: openingSteps.seam, code: donors.code })
    .from(openingSteps)
    .innerJoin(donors, and(eq(donors.id, openingSteps.donorId), isNull(donors.deletedMs)))
    .where(isNull(openingSteps.deletedMs))
    .orderBy(donors.code);
}

/** Which donors have a part in each case. */
export async function packagesMet(db: Queryable): Promise<readonly MetIn[]> {
  const rows = await db
    .selectDistinct({ name: parts.package, code: donors.code })
    .from(parts)
    .innerJoin(donors, and(eq(donors.id, parts.donorId), isNull(donors.deletedMs)))
    .where(and(isNull(parts.deletedMs), isNotNull(parts.package)))
    .orderBy(donors.code);
  return rows.map(({ name, code }) => ({ name: name ?? '', code }));
}

/** Markings of chips, with the donors they were read in. */
export async function chipMarkingsMet(db: Queryable): Promise<readonly MetIn[]> {
  const rows = await db
    .selectDistinct({ name: parts.marking, code: donors.code })
    .from(parts)
    .innerJoin(donors, and(eq(donors.id, parts.donorId), isNull(donors.deletedMs)))
    .where(and(isNull(parts.deletedMs), isNotNull(parts.marking)))
    .orderBy(donors.code);
  return rows.map(({ name, code }) => ({ name: name ?? '', code }));
}
