import type { Donor } from '../../core/donor';
import type { RecordedOpeningStep, WorkSpell, Reassembly } from '../../core/opening';
import { and, count, desc, eq, inArray, isNull, ne, sql } from 'drizzle-orm';
import type { PastHarvest } from '../../core/advice';
import { judgeNameplate } from '../../core/nameplate';
import type { StationName } from '../../core/station';
import type { Queryable } from '../client';
import { donors, notes, openingSteps, parts, reassemblies, workSpells } from '../schema';
import { plateOf } from './plate';

/** The steps by which a donor was opened, in order. */
export async function listOpeningSteps(db: Queryable, donorId: string): Promise<RecordedOpeningStep[]> {
  return db
    .select()
    .from(openingSteps)
    .where(and(eq(openingSteps.donorId, donorId), isNull(openingSteps.deletedMs)))
    .orderBy(openingSteps.createdMs, openingSteps.id);
}

/** The stretches of work on a donor at a station, in order; the last may still run. */
export async function listSpells(db: Queryable, donorId: string, station: StationName): Promise<WorkSpell[]> {
  return db
    .select()
    .from(workSpells)
    .where(and(eq(workSpells.donorId, donorId), eq(workSpells.station, station), isNull(workSpells.deletedMs)))
    .orderBy(workSpells.startedMs, workSpells.id);
}

/** How many clocks of a donor run. */
export async function runningClocks(db: Queryable, donorId: string): Promise<number> {
  const [row] = await db
    .select({ running: count() })
    .from(workSpells)
    .where(and(eq(workSpells.donorId, donorId), isNull(workSpells.endedMs), isNull(workSpells.deletedMs)));
  return row?.running ?? 0;
}

/** How putting a donor together again went, the latest word on it. */
export async function latestReassembly(db: Queryable, donorId: string): Promise<Reassembly | undefined> {
  const [row] = await db
    .select()
    .from(reassemblies)
    .where(and(eq(reassemblies.donorId, donorId), isNull(reassemblies.deletedMs)))
    .orderBy(desc(reassemblies.createdMs), desc(reassemblies.id))
    .limit(1);
  return row;
}

/** Donors other than one that were opened, newest first, with their steps. */
export async function openedDonors(
  db: Queryable,
  exceptId: string,
  limit: number,
): Promise<{ donor: Donor; steps: RecordedOpeningStep[] }[]> {
  const opened = await db
    .selectDistinct({ donor: donors })
    .from(donors)
    .innerJoin(openingSteps, and(eq(openingSteps.donorId, donors.id), isNull(openingSteps.deletedMs)))
    .where(and(ne(donors.id, exceptId), isNull(donors.deletedMs)))
    .orderBy(desc(donors.createdMs))
    .limit(limit);
  const steps = await stepsOf(
    db,
    opened.map(({ donor }) => donor.id),
  );
  return opened.map(({ donor }) => ({ donor, steps: steps.filter(({ donorId }) => donorId === donor.id) }));
}

async function stepsOf(db: Queryable, ids: readonly string[]): Promise<RecordedOpeningStep[]> {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(openingSteps)
    .where(and(inArray(openingSteps.donorId, [...ids]), isNull(openingSteps.deletedMs)))
    .orderBy(openingSteps.createdMs, openingSteps.id);
}

/** Every step of every opening, for the record of each seam. */
export async function allOpeningSteps(db: Queryable, limit: number) {
  return db
    .select({ seam: openingSteps.seam, method: openingSteps.method, damage: openingSteps.damage })
    .from(openingSteps)
    .innerJoin(donors, and(eq(donors.id, openingSteps.donorId), isNull(donors.deletedMs)))
    .where(isNull(openingSteps.deletedMs))
    .orderBy(desc(openingSteps.createdMs))
    .limit(limit);
}

/** Minutes that opening some donors took by the clock, finished stretches only. */
export async function openingMinutes(db: Queryable, ids: readonly string[]): Promise<Map<string, number>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select({
      donorId: workSpells.donorId,
      minutes: sql<number>`sum(${workSpells.endedMs} - ${workSpells.startedMs}) / 60000.0`,
    })
    .from(workSpells)
    .where(
      and(
        inArray(workSpells.donorId, [...ids]),
        eq(workSpells.station, 'open'),
        isNull(workSpells.deletedMs),
        sql`${workSpells.endedMs} is not null`,
      ),
    )
    .groupBy(workSpells.donorId);
  return new Map(rows.map(({ donorId, minutes }) => [donorId, Number(minutes)]));
}

/** Opening notes of some donors, oldest first. */
export async function openingNotes(db: Queryable, ids: readonly string[]) {
  if (ids.length === 0) return [];
  return db
    .select({ donorId: notes.donorId, text: notes.text })
    .from(notes)
    .where(and(inArray(notes.donorId, [...ids]), eq(notes.station, 'open'), isNull(notes.deletedMs)))
    .orderBy(notes.id);
}

/** What donors other than one gave and how long they took to open: the newest that were opened or harvested. */
export async function pastHarvests(db: Queryable, exceptId: string, limit: number): Promise<PastHarvest[]> {
  const rows = await db
    .select({ donor: donors, parts: sql<number>`count(${parts.id})` })
    .from(donors)
    .leftJoin(parts, and(eq(parts.donorId, donors.id), eq(parts.state, 'harvested'), isNull(parts.deletedMs)))
    .where(and(ne(donors.id, exceptId), isNull(donors.deletedMs)))
    .groupBy(donors.id)
    .orderBy(desc(donors.createdMs))
    .limit(limit);
  const minutes = await openingMinutes(
    db,
    rows.map(({ donor }) => donor.id),
  );
  return rows.map(({ donor, parts: count }) => {
    const power = judgeNameplate(plateOf(donor)).ratedPower;
    const took = minutes.get(donor.id);
    return {
      kind: donor.kind,
      parts: Number(count),
      ...(power === undefined ? {} : { power }),
      ...(took === undefined ? {} : { minutes: took }),
    };
  });
}
