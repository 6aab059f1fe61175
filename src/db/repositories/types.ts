import type { PartType, Datasheet } from '../../core/typebook';
import { and, asc, count, desc, eq, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import { replaces, type Evidenced, type Source } from '../../core/evidence';
import type { KindName, RatingName } from '../../core/part';
import type { Queryable } from '../client';
import { datasheets, donors, lots, parts, typeAliases, typeRatings, types } from '../schema';
import type { Edit } from './journal';
import { mayReplace, ratingRow, type NewRating } from './ratings';
import { begins, holds } from './text';

/** A rating of a type, with the page of the datasheet where it stands. */
export interface TypeRating extends Evidenced {
  readonly page: number | null;
}

/** A type with what is known of it. */
export interface TypeRecord {
  readonly type: PartType;
  readonly ratings: Partial<Record<RatingName, TypeRating>>;
  readonly aliases: readonly { readonly id: string; readonly name: string }[];
}

/** A rating of a type as it was, for its history. */
export interface TypeRatingStep extends TypeRating {
  readonly name: RatingName;
  readonly recordedMs: number;
  readonly superseded: boolean;
}

/** Kinds whose marking is a part number rather than a value. */
const NUMBERED: readonly KindName[] = [
  'nmos',
  'pmos',
  'igbt',
  'npn',
  'pnp',
  'diode',
  'dual-diode',
  'bridge',
  'triac',
  'scr',
  'optocoupler',
  'shunt-reference',
  'regulator',
  'ic',
];

/** Whether markings of this kind name a type. */
export function isNumbered(kind: KindName): boolean {
  return NUMBERED.includes(kind);
}

/** The type that a marking names, by its own number or another marking of it. */
export async function findType(db: Queryable, kind: KindName, name: string): Promise<TypeRecord | undefined> {
  const [own] = await db
    .select()
    .from(types)
    .where(and(eq(types.kind, kind), eq(types.name, name), isNull(types.deletedMs)));
  if (own) return (await withDetails(db, [own]))[0];
  const [alias] = await db
    .select({ type: types })
    .from(typeAliases)
    .innerJoin(types, eq(types.id, typeAliases.typeId))
    .where(
      and(
        eq(typeAliases.kind, kind),
        eq(typeAliases.name, name),
        isNull(typeAliases.deletedMs),
        isNull(types.deletedMs),
      ),
    );
  return alias && (await withDetails(db, [alias.type]))[0];
}

const NAMES_AT_ONCE = 500;

/** Ratings of the types with these numbers, by kind and number: `nmos 12N65`. */
export async function typesNamed(
  db: Queryable,
  names: readonly string[],
): Promise<ReadonlyMap<string, TypeRecord['ratings']>> {
  const found = new Map<string, TypeRecord['ratings']>();
  for (let start = 0; start < names.length; start += NAMES_AT_ONCE) {
    const some = names.slice(start, start + NAMES_AT_ONCE);
    const rows = await db
      .select()
      .from(types)
      .where(and(inArray(types.name, some), isNull(types.deletedMs)));
    for (const { type, ratings } of await withDetails(db, rows)) found.set(`${type.kind} ${type.name}`, ratings);
  }
  return found;
}

/** The type with an id. */
export async function typeById(db: Queryable, id: string): Promise<TypeRecord | undefined> {
  const rows = await db
    .select()
    .from(types)
    .where(and(eq(types.id, id), isNull(types.deletedMs)));
  return (await withDetails(db, rows))[0];
}

/** What types can be put in order by, besides their number. */
export const TYPE_ORDERS = ['kind', 'package', 'note'] as const;

export interface TypeOrder {
  readonly by: (typeof TYPE_ORDERS)[number];
  readonly down: boolean;
}

/**
 * A page of types, counted from 0, by number within the order asked for; the query is words that stand in the number, an
 * alias or the note.
 */
export async function listTypes(
  db: Queryable,
  of: { query: string; kind?: KindName | undefined; page: number; size: number; order?: TypeOrder | undefined },
): Promise<{ rows: TypeRecord[]; total: number }> {
  const words = of.query.split(/\s+/).filter((word) => word !== '');
  const where = and(
    isNull(types.deletedMs),
    of.kind ? eq(types.kind, of.kind) : undefined,
    ...words.map((word) =>
      or(
        holds(types.name, word),
        holds(types.note, word),
        inArray(
          types.id,
          db
            .select({ id: typeAliases.typeId })
            .from(typeAliases)
            .where(and(begins(typeAliases.name, word), isNull(typeAliases.deletedMs))),
        ),
      ),
    ),
  );
  const [found] = await db.select({ total: count() }).from(types).where(where);
  const rows = await db
    .select()
    .from(types)
    .where(where)
    .orderBy(...typeOrder(of.order), asc(types.name), asc(types.kind))
    .limit(of.size)
    .offset(of.page * of.size);
  return { rows: await withDetails(db, rows), total: found?.total ?? 0 };
}

/** What is not known comes last. */
function typeOrder(order: TypeOrder | undefined): SQL[] {
  if (!order) return [];
  const term = sql`nullif(${types[order.by]}, '')`;
  return [sql`${order.down ? desc(term) : asc(term)} nulls last`];
}

/** Every type, for keeping in a file. */
export async function allTypes(db: Queryable): Promise<TypeRecord[]> {
  const rows = await db.select().from(types).where(isNull(types.deletedMs)).orderBy(asc(types.name), asc(types.kind));
  return withDetails(db, rows);
}

/** Numbers and aliases that the shop knows, sorted, for completing the bench line. */
export async function listTypeNames(db: Queryable): Promise<string[]> {
  const [own, other] = await Promise.all([
    db.selectDistinct({ name: types.name }).from(types).where(isNull(types.deletedMs)),
    db.selectDistinct({ name: typeAliases.name }).from(typeAliases).where(isNull(typeAliases.deletedMs)),
  ]);
  // Plain order of characters, as the binary search of the bench line wants it.
  return [...new Set([...own, ...other].map(({ name }) => name))].sort((a, b) => (a < b ? -1 : 1));
}

/** Every value that was ever kept for a type, newest first. */
export async function typeHistory(db: Queryable, typeId: string): Promise<TypeRatingStep[]> {
  const rows = await db.select().from(typeRatings).where(eq(typeRatings.typeId, typeId)).orderBy(desc(typeRatings.id));
  return rows.map((row) => ({
    ...rated(row),
    name: row.name,
    recordedMs: row.recordedMs,
    superseded: row.supersededMs !== null,
  }));
}

/** Where a type is: the parts on donors, and the lots in stock. */
export async function usesOfType(db: Queryable, typeId: string, limit: number) {
  const [onDonors, inStock] = await Promise.all([
    db
      .select({ code: donors.code, description: donors.description, ref: parts.ref, state: parts.state })
      .from(parts)
      .innerJoin(donors, eq(donors.id, parts.donorId))
      .where(and(eq(parts.typeId, typeId), isNull(parts.deletedMs), isNull(donors.deletedMs)))
      .orderBy(desc(parts.id))
      .limit(limit),
    db
      .select({ code: lots.code, onHand: lots.onHand })
      .from(lots)
      .where(and(eq(lots.typeId, typeId), isNull(lots.deletedMs)))
      .orderBy(desc(lots.id))
      .limit(limit),
  ]);
  return { onDonors, inStock };
}

/** Datasheets of a type, newest first. */
export async function datasheetsOf(db: Queryable, typeId: string): Promise<Datasheet[]> {
  return db
    .select()
    .from(datasheets)
    .where(and(eq(datasheets.typeId, typeId), isNull(datasheets.deletedMs)))
    .orderBy(desc(datasheets.id));
}

/** A datasheet by its id, if it is attached still. */
export async function datasheetById(db: Queryable, id: string): Promise<Datasheet | undefined> {
  const [row] = await db
    .select()
    .from(datasheets)
    .where(and(eq(datasheets.id, id), isNull(datasheets.deletedMs)));
  return row;
}

/** A datasheet by its content's hash, if any type still has it. */
export async function datasheetByHash(db: Queryable, hash: string): Promise<Datasheet | undefined> {
  const [row] = await db
    .select()
    .from(datasheets)
    .where(and(eq(datasheets.hash, hash), isNull(datasheets.deletedMs)))
    .limit(1);
  return row;
}

/** Sources that say something of the number, not of the one part: the strongest first. */
const OF_THE_NUMBER: readonly Source[] = ['datasheet', 'decoded', 'remembered'];

/**
 * Remembers a part number with what was learnt of it, so that the next part of the same number is
 * read at once. What one part measured is that part's own and is not remembered. Part of the edit,
 * so that taking a wrong reading back also forgets it.
 * @returns the type's id
 */
export async function rememberType(
  edit: Edit,
  of: {
    kind: KindName;
    name: string;
    technology?: string | null | undefined;
    package?: string | null | undefined;
    ratings: readonly NewRating[];
  },
): Promise<string> {
  const known = await findType(edit.tx, of.kind, of.name);
  const typeId =
    known?.type.id ??
    (await edit.insert('types', {
      kind: of.kind,
      name: of.name,
      technology: of.technology ?? null,
      package: of.package ?? null,
      createdMs: edit.app.now(),
    }));
  if (known && known.type.technology === null && of.technology)
    await edit.update('types', typeId, { technology: of.technology });
  await recordTypeRatings(
    edit,
    typeId,
    of.ratings.filter(({ source }) => OF_THE_NUMBER.includes(source)),
  );
  return typeId;
}

/**
 * Records ratings of a type. A source at least as strong takes the place of the present value; a
 * weaker one is left out, since it says nothing new of the number.
 * @returns the names that were recorded
 */
export async function recordTypeRatings(
  edit: Edit,
  typeId: string,
  ratings: readonly (NewRating & { readonly page?: number | null | undefined })[],
): Promise<RatingName[]> {
  const now = edit.app.now();
  const recorded: RatingName[] = [];
  for (const rating of ratings) {
    const [present] = await edit.tx
      .select()
      .from(typeRatings)
      .where(and(eq(typeRatings.typeId, typeId), eq(typeRatings.name, rating.name), isNull(typeRatings.supersededMs)));
    const page = rating.page ?? null;
    const same = present?.source === rating.source && present.valueSi === rating.value && present.page === page;
    if (same || !replaces(rating.source, present?.source)) continue;
    if (present && !(await mayReplace(edit, { table: 'typeRatings', owner: typeId, present, rating }))) continue;
    if (present) await edit.update('typeRatings', present.id, { supersededMs: now });
    await edit.insert('typeRatings', { typeId, page, ...ratingRow(rating, now) });
    recorded.push(rating.name);
  }
  return recorded;
}

/** Deletes the present value of a rating; the one before it, if any, does not come back by itself. */
export async function removeTypeRating(edit: Edit, typeId: string, name: RatingName): Promise<boolean> {
  const [present] = await edit.tx
    .select()
    .from(typeRatings)
    .where(and(eq(typeRatings.typeId, typeId), eq(typeRatings.name, name), isNull(typeRatings.supersededMs)));
  if (!present) return false;
  await edit.update('typeRatings', present.id, { supersededMs: edit.app.now() });
  return true;
}

/** Parts and lots that carry a type, to be moved to another one. */
export async function carriersOf(db: Queryable, typeId: string) {
  const [partRows, lotRows] = await Promise.all([
    db.select({ id: parts.id, marking: parts.marking }).from(parts).where(eq(parts.typeId, typeId)),
    db.select({ id: lots.id, marking: lots.marking }).from(lots).where(eq(lots.typeId, typeId)),
  ]);
  return { parts: partRows, lots: lotRows };
}

function rated(row: typeof typeRatings.$inferSelect): TypeRating {
  return { value: row.valueSi, source: row.source, rule: row.rule, confidence: row.confidence, page: row.page };
}

/** Ids that one statement may name. */
const IDS_AT_ONCE = 500;

async function withDetails(db: Queryable, rows: readonly PartType[]): Promise<TypeRecord[]> {
  const ratings = new Map<string, Partial<Record<RatingName, TypeRating>>>();
  const aliases = new Map<string, { id: string; name: string }[]>();
  for (let start = 0; start < rows.length; start += IDS_AT_ONCE) {
    const ids = rows.slice(start, start + IDS_AT_ONCE).map(({ id }) => id);
    const [ratingRows, aliasRows] = await Promise.all([
      db
        .select()
        .from(typeRatings)
        .where(and(inArray(typeRatings.typeId, ids), isNull(typeRatings.supersededMs))),
      db
        .select()
        .from(typeAliases)
        .where(and(inArray(typeAliases.typeId, ids), isNull(typeAliases.deletedMs)))
        .orderBy(asc(typeAliases.name)),
    ]);
    for (const row of ratingRows) ratings.set(row.typeId, { ...ratings.get(row.typeId), [row.name]: rated(row) });
    for (const { typeId, id, name } of aliasRows) aliases.set(typeId, [...(aliases.get(typeId) ?? []), { id, name }]);
  }
  return rows.map((type) => ({ type, ratings: ratings.get(type.id) ?? {}, aliases: aliases.get(type.id) ?? [] }));
}
