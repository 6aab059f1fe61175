import { and, eq, inArray, isNull, like, ne, sql } from 'drizzle-orm';
import { kinship, type Donor, type Kinship } from '../../core/donor';
import type { Queryable } from '../client';
import { donors, notes, repairFacts } from '../schema';

/** A unit of one family, and how it is kin. */
export interface Kin {
  readonly donor: Donor;
  readonly kinship: Kinship;
}

/** Units of the same maker whose model begins with the same letters are looked at; what stands between them and the digits differs. */
const BEGINS = 2;
const LOOKED_AT = 200;

/** Other units of the model of one, and its variants, newest first. */
export async function familyOf(
  db: Queryable,
  of: Pick<Donor, 'maker' | 'model'> & { readonly id?: string },
): Promise<readonly Kin[]> {
  const model = of.model.trim();
  if (model === '') return [];
  const start = model.slice(0, BEGINS).replaceAll(/[%_]/gu, '_');
  const rows = await db
    .select()
    .from(donors)
    .where(
      and(
        isNull(donors.deletedMs),
        sql`lower(${donors.maker}) = lower(${of.maker.trim()})`,
        like(donors.model, `${start}%`),
        of.id === undefined ? undefined : ne(donors.id, of.id),
      ),
    )
    .orderBy(sql`${donors.createdMs} desc`)
    .limit(LOOKED_AT);
  return rows.flatMap((donor): Kin[] => {
    const kin = kinship(of, donor);
    return kin ? [{ donor, kinship: kin }] : [];
  });
}

/** What units told for the next one, and what failed in them: complaints, and parts that were fitted anew. */
export async function toldBy(db: Queryable, ids: readonly string[]) {
  if (ids.length === 0) return { told: [], failed: [] };
  const [told, failed] = await Promise.all([
    db
      .select({ donorId: notes.donorId, text: notes.text, ref: notes.ref, createdMs: notes.createdMs })
      .from(notes)
      .where(and(inArray(notes.donorId, [...ids]), eq(notes.tellNext, true), isNull(notes.deletedMs)))
      .orderBy(notes.id),
    db
      .select({ donorId: repairFacts.donorId, ref: repairFacts.ref, text: repairFacts.text })
      .from(repairFacts)
      .where(and(inArray(repairFacts.donorId, [...ids]), eq(repairFacts.kind, 'fitted'), isNull(repairFacts.deletedMs)))
      .orderBy(repairFacts.id),
  ]);
  return { told, failed };
}
