import type { Part } from '../../core/donor';
import { and, desc, eq, inArray, isNull, ne, or, sql } from 'drizzle-orm';
import type { KnownChip, Measured } from '../../core/measure';
import { type BlockName, type DutyName, type FitmentName, type KindName, type TestName } from '../../core/part';
import type { StockFilter } from '../../core/stock';
import type { Queryable } from '../client';
import { donors, measurements, partRatings, parts } from '../schema';
import type { Edit } from './journal';
import { demandWhere, ratingsOfParts, type Ratings } from './ratings';
import { inCases, ofKind } from './lotWhere';
import { begins, holds } from './text';

export interface PartMeasurement {
  readonly id: string;
  readonly test: TestName;
  readonly values: Readonly<Record<string, Measured>>;
  readonly inCircuit: boolean;
  /** Name of the meter, empty for a usual one. */
  readonly meter: string;
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
        meter: row.meter,
        takenMs: row.takenMs,
        values: fromStored(row.measured),
      })),
  }));
}

/** Parts still on boards that meet a filter at face value, with the donor they sit in. */
export const searchPartsOnBoards = (db: Queryable, filter: StockFilter, limit: number) =>
  partsThatMeet(db, filter, { limit, isOnBoard: true });

/** Parts that meet a filter at face value, on boards or taken since, with the donor they sit or sat in. */
export async function partsThatMeet(
  db: Queryable,
  filter: StockFilter,
  of: { limit: number; isOnBoard: boolean },
): Promise<{ part: Part; donorCode: string; ratings: Ratings }[]> {
  const rows = await db
    .select({ part: parts, donorCode: donors.code })
    .from(parts)
    .innerJoin(donors, eq(donors.id, parts.donorId))
    .where(
      and(
        of.isOnBoard ? eq(parts.state, 'on-board') : undefined,
        isNull(parts.deletedMs),
        isNull(donors.deletedMs),
        filter.kind && ofKind(parts, filter.kind),
        filter.packages && inCases(parts.package, filter.packages),
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
    .limit(of.limit);
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
  readonly technology?: string | undefined;
  readonly package?: string | undefined;
  readonly marking?: string | undefined;
  readonly dateCode?: string | undefined;
  readonly block?: BlockName | undefined;
  readonly duty?: DutyName | undefined;
  readonly damage?: readonly string[] | undefined;
  readonly fitments?: readonly FitmentName[] | undefined;
}

/** Logs a part, or adds to what is known of the one with this reference. Returns its id. */
export async function logPart(edit: Edit, said: PartSaid): Promise<string> {
  const present = (await findPart(edit.tx, edit.donorId, said.ref))?.part;
  const facts = {
    kind: said.kind,
    ...(said.subtype === undefined ? {} : { subtype: said.subtype }),
    ...(said.package === undefined ? {} : { package: said.package }),
    ...(said.marking === undefined ? {} : { marking: said.marking }),
    ...(said.technology === undefined ? {} : { technology: said.technology }),
    ...(said.dateCode === undefined ? {} : { dateCode: said.dateCode }),
    ...(said.block === undefined ? {} : { block: said.block }),
    ...(said.duty === undefined ? {} : { duty: said.duty }),
  };
  if (present) {
    const damage = [...new Set([...present.damage, ...(said.damage ?? [])])];
    const fitments = [...new Set([...present.fitments, ...(said.fitments ?? [])])];
    await edit.update('parts', present.id, { ...facts, damage, fitments });
    return present.id;
  }
  return edit.insert('parts', {
    donorId: edit.donorId,
    ref: said.ref,
    damage: [...(said.damage ?? [])],
    fitments: [...(said.fitments ?? [])],
    state: 'on-board',
    createdMs: edit.app.now(),
    ...facts,
  });
}

/** Adds a measurement of a part. */
export async function addMeasurement(
  edit: Edit,
  partId: string,
  measured: {
    test: TestName;
    values: Readonly<Record<string, Measured>>;
    inCircuit: boolean;
    meter?: string | undefined;
  },
): Promise<void> {
  await edit.insert('measurements', {
    partId,
    test: measured.test,
    inCircuit: measured.inCircuit,
    meter: measured.meter ?? '',
    takenMs: edit.app.now(),
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

/** How many fingerprints are held against at most. */
const FINGERPRINTS = 500;

/** Fingerprints of marked chips of other donors, read out of circuit, with where each was taken. */
export async function chipReadings(db: Queryable, besides: string): Promise<(KnownChip & { marking: string })[]> {
  const rows = await db
    .select({ marking: parts.marking, ref: parts.ref, code: donors.code, measured: measurements.measured })
    .from(measurements)
    .innerJoin(parts, eq(parts.id, measurements.partId))
    .innerJoin(donors, eq(donors.id, parts.donorId))
    .where(
      and(
        eq(measurements.test, 'chip'),
        eq(measurements.inCircuit, false),
        isNull(measurements.deletedMs),
        isNull(parts.deletedMs),
        ne(parts.donorId, besides),
        sql`${parts.damage} = '[]'`,
      ),
    )
    .orderBy(desc(measurements.id))
    .limit(FINGERPRINTS);
  return rows.flatMap(({ marking, ref, code, measured }) => {
    if (!marking) return [];
    const { proved, ...pins } = fromStored(measured);
    return [
      {
        marking,
        from: `${ref} of ${code}`,
        pins: Object.fromEntries(Object.entries(pins).map(([pin, { value }]) => [pin, value])),
        proved: proved?.value === 1,
      },
    ];
  });
}

/** Other donors on which the same marking was seen, newest first. */
export async function donorsWithMarking(
  db: Queryable,
  of: { marking: string; besides: string },
  limit: number,
): Promise<{ code: string; description: string; ref: string; kind: KindName }[]> {
  return db
    .select({ code: donors.code, description: donors.description, ref: parts.ref, kind: parts.kind })
    .from(parts)
    .innerJoin(donors, eq(donors.id, parts.donorId))
    .where(
      and(
        eq(parts.marking, of.marking),
        ne(parts.donorId, of.besides),
        isNull(parts.deletedMs),
        isNull(donors.deletedMs),
      ),
    )
    .orderBy(desc(parts.id))
    .limit(limit);
}

/** Whether anything stands under a reference of a donor. */
export async function isReferenceTaken(db: Queryable, donorId: string, ref: string): Promise<boolean> {
  const [row] = await db
    .select({ n: sql<number>`count(*)` })
    .from(parts)
    .where(and(eq(parts.donorId, donorId), eq(parts.ref, ref), isNull(parts.deletedMs)));
  return (row?.n ?? 0) > 0;
}
