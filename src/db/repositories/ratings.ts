import { and, eq, gte, inArray, isNull, lte, type AnyColumn, type SQL } from 'drizzle-orm';
import { replaces, type Evidenced, type Source } from '../../core/evidence';
import type { RatingName } from '../../core/part';
import { demandedRange, ratingsOf, type Demand } from '../../core/stock';
import type { Queryable } from '../client';
import { lotRatings, partRatings } from '../schema';
import type { Edit } from './journal';
import { answerTo, isOthers } from './meeting';

/** A value to record for a rating. */
export interface NewRating {
  readonly name: RatingName;
  readonly value: number;
  readonly source: Source;
  readonly rule?: string | null;
  readonly confidence?: number | null;
}

export type Ratings = Partial<Record<RatingName, Evidenced>>;

/**
 * Records ratings of a part. A source at least as strong takes the place of the present value, a
 * weaker one goes straight into the history; nothing is overwritten.
 * @returns the names whose present value did not give way
 */
export async function recordPartRatings(
  edit: Edit,
  partId: string,
  ratings: readonly NewRating[],
): Promise<RatingName[]> {
  const kept: RatingName[] = [];
  for (const rating of ratings) {
    const [present] = await edit.tx
      .select()
      .from(partRatings)
      .where(and(eq(partRatings.partId, partId), eq(partRatings.name, rating.name), isNull(partRatings.supersededMs)));
    const now = edit.app.now();
    const wins = replaces(rating.source, present?.source);
    if (present && wins && !(await mayReplace(edit, { table: 'partRatings', owner: partId, present, rating })))
      continue;
    if (present && wins) await edit.update('partRatings', present.id, { supersededMs: now });
    if (!wins) kept.push(rating.name);
    await edit.insert('partRatings', { partId, ...ratingRow(rating, now), supersededMs: wins ? null : now });
  }
  return kept;
}

/** Puts the present ratings of a part into its history: another part sits in its place from now on. */
export async function retirePartRatings(edit: Edit, partId: string): Promise<void> {
  const present = await edit.tx
    .select({ id: partRatings.id })
    .from(partRatings)
    .where(and(eq(partRatings.partId, partId), isNull(partRatings.supersededMs)));
  for (const { id } of present) await edit.update('partRatings', id, { supersededMs: edit.app.now() });
}

/** Whether a form may put its value in the place of the present one: what others recorded since it was read is asked about. */
export async function mayReplace(
  edit: Edit,
  of: {
    readonly table: 'partRatings' | 'typeRatings';
    readonly owner: string;
    readonly present: { readonly id: string; readonly valueSi: number };
    readonly rating: NewRating;
  },
): Promise<boolean> {
  const { form } = edit.app;
  const { present, rating } = of;
  if (!form || present.valueSi === rating.value || !(await isOthers(edit.tx, form, present.id))) return true;
  const key = `${of.table}.${of.owner}.${rating.name}`;
  const met = { key, table: of.table, field: rating.name, theirs: present.valueSi, mine: rating.value };
  const answer = answerTo(form, met);
  if (answer === undefined) edit.ask(met);
  return answer === 'mine';
}

/** The columns of a rating. */
export function ratingRow(rating: NewRating, recordedMs: number) {
  return {
    name: rating.name,
    valueSi: rating.value,
    source: rating.source,
    rule: rating.rule ?? null,
    confidence: rating.confidence ?? null,
    recordedMs,
  };
}

/** The columns of a table of ratings, or of an alias of it, that a demand is put to. */
type RatingColumns = Readonly<Record<'name' | 'supersededMs' | 'valueSi', AnyColumn>>;

/** The condition under which a present rating meets a demand at face value. */
export function demandWhere(table: RatingColumns, demand: Demand): SQL | undefined {
  const { low, high } = demandedRange(demand);
  return and(
    demand.others ? inArray(table.name, [...ratingsOf(demand)]) : eq(table.name, demand.rating),
    isNull(table.supersededMs),
    low === -Infinity ? undefined : gte(table.valueSi, low),
    high === Infinity ? undefined : lte(table.valueSi, high),
  );
}

/** Present ratings of parts, by part. */
export async function ratingsOfParts(db: Queryable, partIds: readonly string[]): Promise<Map<string, Ratings>> {
  const rows = partIds.length
    ? await db
        .select()
        .from(partRatings)
        .where(and(inArray(partRatings.partId, [...partIds]), isNull(partRatings.supersededMs)))
    : [];
  return group(rows.map((row) => ({ owner: row.partId, row })));
}

/** Present ratings of lots, by lot. */
export async function ratingsOfLots(db: Queryable, lotIds: readonly string[]): Promise<Map<string, Ratings>> {
  const rows = lotIds.length
    ? await db
        .select()
        .from(lotRatings)
        .where(and(inArray(lotRatings.lotId, [...lotIds]), isNull(lotRatings.supersededMs)))
    : [];
  return group(rows.map((row) => ({ owner: row.lotId, row })));
}

/** Superseded ratings of a part, newest first. */
export async function ratingHistory(
  db: Queryable,
  partId: string,
): Promise<(Evidenced & { name: RatingName; recordedMs: number; superseded: boolean })[]> {
  const rows = await db.select().from(partRatings).where(eq(partRatings.partId, partId)).orderBy(partRatings.id);
  return rows.reverse().map((row) => ({
    ...evidenced(row),
    name: row.name,
    recordedMs: row.recordedMs,
    superseded: row.supersededMs !== null,
  }));
}

type RatingRow = { name: RatingName; valueSi: number; source: Source; rule: string | null; confidence: number | null };

function evidenced(row: RatingRow): Evidenced {
  return { value: row.valueSi, source: row.source, rule: row.rule, confidence: row.confidence };
}

function group(rows: readonly { owner: string; row: RatingRow }[]): Map<string, Ratings> {
  const byOwner = new Map<string, Ratings>();
  for (const { owner, row } of rows) byOwner.set(owner, { ...byOwner.get(owner), [row.name]: evidenced(row) });
  return byOwner;
}
