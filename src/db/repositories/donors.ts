import type { Donor } from '../../core/donor';
import { and, asc, count, desc, eq, inArray, isNotNull, isNull, notInArray, or, sql, type SQL } from 'drizzle-orm';
import { judgeNameplate } from '../../core/nameplate';
import { kindRule, type KindName } from '../../core/part';
import { isPowered, storeState, type UnitHistory } from '../../core/safety';
import { stationLine, type DonorFacts, type StationName, type StationSummary } from '../../core/station';
import type { Queryable } from '../client';
import { boardFacts, donors, notes, openingSteps, parts, stationMarks, storeReadings, stores } from '../schema';
import { plateOf } from './plate';
import { unitHistories } from './power';
import { readSettings } from './settings';
import { holds } from './text';

/** A donor with what its station line shows. */
export interface DonorOverview {
  readonly donor: Donor;
  readonly line: readonly StationSummary[];
  readonly facts: DonorFacts;
  /** Names of stores that no reading shows dead, with the last reading in volts if there is one. */
  readonly liveStores: readonly {
    readonly name: string;
    readonly lastVoltage: number | null;
    /** Power was applied after its last reading. */
    readonly poweredSince: boolean;
    /** Under the limit of touch, and not empty: the reading with its meter's doubt. */
    readonly belowTouch: number | null;
  }[];
  readonly wentOn: readonly StationName[];
  /** Power was put to it and not taken away since. */
  readonly isPowered: boolean;
}

/** What a person calls a donor: maker, model and what it is. */
export function donorTitle({ maker, model, description }: Pick<Donor, 'maker' | 'model' | 'description'>): string {
  return [maker, model, description].filter((word) => word !== '').join(' ');
}

/** The donor with a code. */
export async function findDonor(db: Queryable, code: string): Promise<Donor | undefined> {
  const [row] = await db
    .select()
    .from(donors)
    .where(and(eq(donors.code, code), isNull(donors.deletedMs)));
  return row;
}

/** Donors that no part was taken out of, newest first: they can still be used whole. */
export async function wholeDonors(db: Queryable, limit: number): Promise<Donor[]> {
  const taken = db
    .select({ id: parts.donorId })
    .from(parts)
    .where(and(eq(parts.state, 'harvested'), isNull(parts.deletedMs)));
  return db
    .select()
    .from(donors)
    .where(and(isNull(donors.deletedMs), notInArray(donors.id, taken)))
    .orderBy(desc(donors.createdMs))
    .limit(limit);
}

/** Donors, newest first, each with whether a part of it was ever logged. */
export async function donorsByOpened(
  db: Queryable,
  limit: number,
): Promise<{ readonly donor: Donor; readonly isOpened: boolean }[]> {
  const [rows, opened] = await Promise.all([
    db.select().from(donors).where(isNull(donors.deletedMs)).orderBy(desc(donors.createdMs)).limit(limit),
    db.selectDistinct({ id: parts.donorId }).from(parts).where(isNull(parts.deletedMs)),
  ]);
  const known = new Set(opened.map(({ id }) => id));
  return rows.map((donor) => ({ donor, isOpened: known.has(donor.id) }));
}

/** The donor with a code, if it is in the archive. */
export async function findArchived(db: Queryable, code: string): Promise<Donor | undefined> {
  const [row] = await db
    .select()
    .from(donors)
    .where(and(eq(donors.code, code), isNotNull(donors.deletedMs)));
  return row;
}

/** Donors in the archive, the latest first. */
export async function listArchived(db: Queryable, limit: number): Promise<Donor[]> {
  return db.select().from(donors).where(isNotNull(donors.deletedMs)).orderBy(desc(donors.deletedMs)).limit(limit);
}

export interface DonorPage {
  readonly rows: readonly DonorOverview[];
  readonly total: number;
}

/** What donors can be put in order by, besides the day they came. */
export const DONOR_ORDERS = ['label', 'unit'] as const;

export interface DonorOrder {
  readonly by: (typeof DONOR_ORDERS)[number];
  readonly down: boolean;
}

/** A page of donors that carry every word of a query, newest first within the order asked for. */
export async function listDonors(
  db: Queryable,
  of: { query?: string; page: number; size: number; order?: DonorOrder | undefined; inWork?: boolean },
): Promise<DonorPage> {
  const where = and(
    isNull(donors.deletedMs),
    of.inWork ? isNull(donors.closedMs) : undefined,
    ...words(of.query ?? ''),
  );
  const rows = await db
    .select()
    .from(donors)
    .where(where)
    .orderBy(...donorOrder(of.order), desc(donors.createdMs))
    .limit(of.size)
    .offset(of.page * of.size);
  const [total] = await db.select({ n: count() }).from(donors).where(where);
  return { rows: await overviews(db, rows), total: total?.n ?? 0 };
}

function donorOrder(order: DonorOrder | undefined): SQL[] {
  if (!order) return [];
  const terms = order.by === 'label' ? [donors.code] : [donors.maker, donors.model, donors.description];
  return terms.map((term) => (order.down ? desc(term) : asc(term)));
}

function words(query: string): (SQL | undefined)[] {
  return query
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) =>
      or(
        ...[donors.code, donors.maker, donors.model, donors.description, donors.origin, donors.nameplate].map(
          (column) => holds(column, word),
        ),
      ),
    );
}

/** The overview of one donor; with the settings and its history when they are known already. */
export async function donorOverview(
  db: Queryable,
  donor: Donor,
  known?: { readonly touchLimit: number; readonly history: UnitHistory },
): Promise<DonorOverview> {
  const [overview] = await overviews(
    db,
    [donor],
    known && { touchLimit: known.touchLimit, histories: new Map([[donor.id, known.history]]) },
  );
  return overview as DonorOverview;
}

/** An empty footprint is no part to identify, test or take. */
const isFitted = sql`${parts.fitments} not like '%unpopulated%'`;

/** Overviews of a handful of donors in a fixed number of queries. */
async function overviews(
  db: Queryable,
  rows: readonly Donor[],
  known?: { readonly touchLimit: number; readonly histories: ReadonlyMap<string, UnitHistory> },
): Promise<DonorOverview[]> {
  const ids = rows.map(({ id }) => id);
  if (ids.length === 0) return [];
  const [{ touchLimit }, histories, stepRows, storeRows, readingRows, partRows, noteRows, markRows, factRows] =
    await Promise.all([
      known ?? readSettings(db),
      known ? known.histories : unitHistories(db, ids),
      db
        .select({ donorId: openingSteps.donorId, total: count() })
        .from(openingSteps)
        .where(and(inArray(openingSteps.donorId, ids), isNull(openingSteps.deletedMs)))
        .groupBy(openingSteps.donorId),
      db
        .select({ id: stores.id, donorId: stores.donorId, name: stores.name })
        .from(stores)
        .where(and(inArray(stores.donorId, ids), isNull(stores.deletedMs))),
      db
        .select({
          storeId: storeReadings.storeId,
          voltage: storeReadings.voltageV,
          resolution: storeReadings.resolutionV,
          takenAt: storeReadings.takenMs,
          toolOn: sql<boolean>`${storeReadings.toolOhm} is not null`.mapWith(Boolean),
        })
        .from(storeReadings)
        .innerJoin(stores, eq(stores.id, storeReadings.storeId))
        .where(and(inArray(stores.donorId, ids), isNull(storeReadings.deletedMs), isNull(stores.deletedMs))),
      db
        .select({
          donorId: parts.donorId,
          kind: parts.kind,
          harvested: sql<number>`sum(${parts.state} = 'harvested')`,
          identified: sql<number>`sum(exists (select 1 from part_ratings r where r.part_id = "parts"."id") or ${parts.typeId} is not null)`,
          // As the verdicts are counted: damage that is seen judges a part as a reading does.
          tested: sql<number>`sum(${parts.damage} <> '[]' or exists (select 1 from measurements m where m.part_id = "parts"."id" and m.deleted_ms is null))`,
          total: count(),
        })
        .from(parts)
        .where(and(inArray(parts.donorId, ids), isNull(parts.deletedMs), isFitted))
        .groupBy(parts.donorId, parts.kind),
      db
        .select({
          donorId: notes.donorId,
          station: notes.station,
          total: count(),
          open: sql<number>`sum((${notes.question} or ${notes.claim}) and ${notes.answeredMs} is null and ${notes.status} not in ('settled', 'superseded'))`,
        })
        .from(notes)
        .where(and(inArray(notes.donorId, ids), isNull(notes.deletedMs)))
        .groupBy(notes.donorId, notes.station),
      db
        .select()
        .from(stationMarks)
        .where(and(inArray(stationMarks.donorId, ids), isNull(stationMarks.deletedMs))),
      db
        .select({ donorId: boardFacts.donorId, total: count() })
        .from(boardFacts)
        .where(and(inArray(boardFacts.donorId, ids), isNull(boardFacts.deletedMs)))
        .groupBy(boardFacts.donorId),
    ]);

  return rows.map((donor) => {
    const own = <T extends { donorId: string }>(all: readonly T[]) => all.filter(({ donorId }) => donorId === donor.id);
    const states = own(storeRows).map((store) => ({
      store,
      state: storeState(
        readingRows.filter(({ storeId }) => storeId === store.id),
        { touchLimit, history: histories.get(donor.id) ?? {} },
      ),
    }));
    const live = states.filter(({ state }) => state.kind !== 'measured-dead');
    const kinds = own(partRows);
    const sum = (pick: (row: (typeof kinds)[number]) => number) =>
      kinds.reduce((total, row) => total + Number(pick(row)), 0);
    const stationNotes = own(noteRows);
    const noted = Object.fromEntries(stationNotes.map(({ station, total }) => [station, total]));
    const openingTotal = (noted.open ?? 0) + (own(stepRows)[0]?.total ?? 0);
    const facts: DonorFacts = {
      ratedPower: judgeNameplate(plateOf(donor)).ratedPower,
      stores: { total: states.length, dead: states.length - live.length },
      parts: {
        total: sum((row) => row.total),
        identified: sum((row) => row.identified),
        testable: sum((row) => (kindRule(row.kind as KindName).test ? row.total : 0)),
        tested: sum((row) => (kindRule(row.kind as KindName).test ? row.tested : 0)),
        harvested: sum((row) => row.harvested),
      },
      notes: { ...noted, ...(openingTotal > 0 ? { open: openingTotal } : {}) },
      probes: own(factRows)[0]?.total ?? 0,
      openQuestions: stationNotes.reduce((total, { open }) => total + Number(open), 0),
      declaredDone: own(markRows)
        .filter(({ mark }) => mark === 'done')
        .map(({ station }) => station),
    };
    return {
      donor,
      facts,
      line: stationLine(facts),
      liveStores: live.map(({ store, state }) => ({
        name: store.name,
        lastVoltage: state.kind === 'live' || state.kind === 'below-touch' ? state.last.voltage : null,
        belowTouch: state.kind === 'below-touch' && !state.isMeterDoubtful ? state.upper : null,
        poweredSince: state.kind === 'powered-since',
      })),
      wentOn: own(markRows)
        .filter(({ mark }) => mark === 'went-on')
        .map(({ station }) => station),
      isPowered: isPowered(histories.get(donor.id) ?? {}),
    };
  });
}
