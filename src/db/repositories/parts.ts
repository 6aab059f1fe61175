import { and, desc, eq, inArray, isNull, or } from 'drizzle-orm';
import { replaces, type Source } from '../../core/evidence';
import type { Measured } from '../../core/measure';
import { kindsServing, type KindName, type TestName } from '../../core/part';
import type { StockFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { donors, measurements, partRatings, parts, typeRatings, types } from '../schema';
import type { Edit } from './journal';
import { demandWhere, ratingRow, ratingsOfParts, type NewRating, type Ratings } from './ratings';
import { begins, holds } from './text';

export type Part = typeof parts.$inferSelect;

export interface PartMeasurement {
  readonly id: string;
  readonly test: TestName;
  readonly values: Readonly<Record<string, Measured>>;
  readonly inCircuit: boolean;
  readonly takenMs: number;
}

export interface PartRecord {
  readonly part: Part;
  readonly ratings: Ratings;
  /** Newest first. */
  readonly measurements: readonly PartMeasurement[];
}

/** The parts of a donor in the order they were logged. */
export async function listParts(db: Queryable, donorId: string): Promise<PartRecord[]> {
  const rows = await db
    .select()
    .from(parts)
    .where(and(eq(parts.donorId, donorId), isNull(parts.deletedMs)))
    .orderBy(parts.id);
  return withDetails(db, rows);
}

/** References and kinds only, for the bench line. */
export async function listReferences(db: Queryable, donorId: string): Promise<{ ref: string; kind: KindName }[]> {
  return db
    .select({ ref: parts.ref, kind: parts.kind })
    .from(parts)
    .where(and(eq(parts.donorId, donorId), isNull(parts.deletedMs)))
    .orderBy(parts.id);
}

/** The part of a donor with a reference, upper case. */
export async function findPart(db: Queryable, donorId: string, ref: string): Promise<PartRecord | undefined> {
  const rows = await db
    .select()
    .from(parts)
    .where(and(eq(parts.donorId, donorId), eq(parts.ref, ref), isNull(parts.deletedMs)));
  return (await withDetails(db, rows))[0];
}

async function withDetails(db: Queryable, rows: readonly Part[]): Promise<PartRecord[]> {
  const ids = rows.map(({ id }) => id);
  const ratings = await ratingsOfParts(db, ids);
  const measured = ids.length
    ? await db
        .select()
        .from(measurements)
        .where(and(inArray(measurements.partId, ids), isNull(measurements.deletedMs)))
        .orderBy(desc(measurements.id))
    : [];
  return rows.map((part) => ({
    part,
    ratings: ratings.get(part.id) ?? {},
    measurements: measured
      .filter(({ partId }) => partId === part.id)
      .map((row) => ({
        id: row.id,
        test: row.test,
        inCircuit: row.inCircuit,
        takenMs: row.takenMs,
        values: fromStored(row.measured),
      })),
  }));
}

/** Parts still on boards that meet a filter at face value, with the donor they sit in. */
export async function searchPartsOnBoards(
  db: Queryable,
  filter: StockFilter,
  limit: number,
): Promise<{ part: Part; donorCode: string; ratings: Ratings }[]> {
  const rows = await db
    .select({ part: parts, donorCode: donors.code })
    .from(parts)
    .innerJoin(donors, eq(donors.id, parts.donorId))
    .where(
      and(
        eq(parts.state, 'on-board'),
        isNull(parts.deletedMs),
        isNull(donors.deletedMs),
        filter.kind ? inArray(parts.kind, kindsServing(filter.kind)) : undefined,
        filter.package ? eq(parts.package, filter.package) : undefined,
        filter.donor ? begins(donors.code, filter.donor) : undefined,
        ...filter.demands.map((demand) =>
          inArray(
            parts.id,
            db.select({ id: partRatings.partId }).from(partRatings).where(demandWhere(partRatings, demand)),
          ),
        ),
        ...filter.words.map((word) =>
          or(holds(parts.marking, word), eq(parts.subtype, word), eq(parts.technology, word)),
        ),
      ),
    )
    .orderBy(desc(parts.id))
    .limit(limit);
  const ratings = await ratingsOfParts(
    db,
    rows.map(({ part }) => part.id),
  );
  return rows.map((row) => ({ ...row, ratings: ratings.get(row.part.id) ?? {} }));
}

/** What a person says of a part; fields left out stay as they are. */
export interface PartSaid {
  readonly ref: string;
  readonly kind: KindName;
  readonly subtype?: string | undefined;
  readonly package?: string | undefined;
  readonly marking?: string | undefined;
  readonly dateCode?: string | undefined;
  readonly damage?: readonly string[] | undefined;
}

/** Logs a part, or adds to what is known of the one with this reference. Returns its id. */
export async function logPart(edit: Edit, said: PartSaid): Promise<string> {
  const present = (await findPart(edit.tx, edit.donorId, said.ref))?.part;
  const facts = {
    kind: said.kind,
    ...(said.subtype === undefined ? {} : { subtype: said.subtype }),
    ...(said.package === undefined ? {} : { package: said.package }),
    ...(said.marking === undefined ? {} : { marking: said.marking }),
    ...(said.dateCode === undefined ? {} : { dateCode: said.dateCode }),
  };
  if (present) {
    const damage = [...new Set([...present.damage, ...(said.damage ?? [])])];
    await edit.update('parts', present.id, { ...facts, damage });
    return present.id;
  }
  return edit.insert('parts', {
    donorId: edit.donorId,
    ref: said.ref,
    damage: [...(said.damage ?? [])],
    state: 'on-board',
    createdMs: edit.bench.now(),
    ...facts,
  });
}

/** Adds a measurement of a part. */
export async function addMeasurement(
  edit: Edit,
  partId: string,
  measured: { test: TestName; values: Readonly<Record<string, Measured>>; inCircuit: boolean },
): Promise<void> {
  await edit.insert('measurements', {
    partId,
    test: measured.test,
    inCircuit: measured.inCircuit,
    takenMs: edit.bench.now(),
    measured: toStored(measured.values),
  });
}

/** JSON knows no Infinity: an open reading is stored as null. */
function toStored(values: Readonly<Record<string, Measured>>) {
  return Object.fromEntries(
    Object.entries(values).map(([name, { value, resolution }]) => [
      name,
      { value: Number.isFinite(value) ? value : null, resolution },
    ]),
  );
}

function fromStored(stored: Record<string, { value: number | null; resolution: number }>): Record<string, Measured> {
  return Object.fromEntries(
    Object.entries(stored).map(([name, { value, resolution }]) => [name, { value: value ?? Infinity, resolution }]),
  );
}

/** What is already known of a part number. */
export async function findType(
  db: Queryable,
  kind: KindName,
  name: string,
): Promise<{ id: string; technology: string | null; ratings: Ratings } | undefined> {
  const [type] = await db
    .select()
    .from(types)
    .where(and(eq(types.kind, kind), eq(types.name, name)));
  if (!type) return undefined;
  const rows = await db
    .select()
    .from(typeRatings)
    .where(and(eq(typeRatings.typeId, type.id), isNull(typeRatings.supersededMs)));
  const ratings: Ratings = {};
  for (const row of rows)
    ratings[row.name] = { value: row.valueSi, source: row.source, rule: row.rule, confidence: row.confidence };
  return { id: type.id, technology: type.technology, ratings };
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
  of: { kind: KindName; name: string; technology?: string | null | undefined; ratings: readonly NewRating[] },
): Promise<string> {
  const now = edit.bench.now();
  const known = await findType(edit.tx, of.kind, of.name);
  const typeId =
    known?.id ??
    (await edit.insert('types', {
      kind: of.kind,
      name: of.name,
      technology: of.technology ?? null,
      createdMs: now,
    }));
  for (const rating of of.ratings.filter(({ source }) => OF_THE_NUMBER.includes(source))) {
    const [present] = await edit.tx
      .select()
      .from(typeRatings)
      .where(and(eq(typeRatings.typeId, typeId), eq(typeRatings.name, rating.name), isNull(typeRatings.supersededMs)));
    const same = present?.source === rating.source && present.valueSi === rating.value;
    if (same || !replaces(rating.source, present?.source)) continue;
    if (present) await edit.update('typeRatings', present.id, { supersededMs: now });
    await edit.insert('typeRatings', { typeId, ...ratingRow(rating, now) });
  }
  return typeId;
}
