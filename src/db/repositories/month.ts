import { and, between, count, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Queryable } from '../client';
import { builds, donors, harvestSteps, lots, needs, notes, parts, stockLedger, workSpells } from '../schema';

/** What came and went between two moments, milliseconds since 1970. */
export interface Months {
  readonly from: number;
  readonly to: number;
}

const one = <T>(rows: readonly T[]): T => rows[0] as T;

/** What a stretch of time brought: units in, units ended by how, minutes, parts, pieces, builds, questions. */
export async function broughtBetween(db: Queryable, { from, to }: Months) {
  // The end is not part of it.
  const last = to - 1;
  const [came, ended, worked, harvested, logged, moved, usedKinds, served, asked, answered] = await Promise.all([
    db
      .select({ n: count() })
      .from(donors)
      .where(and(isNull(donors.deletedMs), between(donors.createdMs, from, last))),
    db
      .select({ outcome: donors.outcome, n: count() })
      .from(donors)
      .where(and(isNull(donors.deletedMs), between(donors.closedMs, from, last)))
      .groupBy(donors.outcome),
    db
      .select({
        minutes: sql<number>`coalesce(sum(${workSpells.endedMs} - ${workSpells.startedMs}), 0) / 60000.0`.mapWith(
          Number,
        ),
      })
      .from(workSpells)
      .where(and(isNull(workSpells.deletedMs), isNotNull(workSpells.endedMs), between(workSpells.endedMs, from, last))),
    db
      .select({ minutes: sql<number>`coalesce(sum(${harvestSteps.takenS}), 0) / 60.0`.mapWith(Number) })
      .from(harvestSteps)
      .where(and(isNull(harvestSteps.deletedMs), between(harvestSteps.atMs, from, last))),
    db
      .select({ n: count() })
      .from(parts)
      .where(and(isNull(parts.deletedMs), between(parts.createdMs, from, last))),
    db
      .select({
        harvested:
          sql<number>`coalesce(sum(case when ${stockLedger.reason} = 'harvested' then ${stockLedger.onHandDelta} end), 0)`.mapWith(
            Number,
          ),
        used: sql<number>`coalesce(-sum(case when ${stockLedger.reason} = 'used' then ${stockLedger.onHandDelta} end), 0)`.mapWith(
          Number,
        ),
      })
      .from(stockLedger)
      .innerJoin(lots, and(eq(lots.id, stockLedger.lotId), isNull(lots.deletedMs)))
      .where(between(stockLedger.atMs, from, last)),
    db
      .select({
        kind: lots.kind,
        pieces: sql<number>`-sum(${stockLedger.onHandDelta})`.mapWith(Number),
      })
      .from(stockLedger)
      .innerJoin(lots, and(eq(lots.id, stockLedger.lotId), isNull(lots.deletedMs)))
      .where(and(eq(stockLedger.reason, 'used'), between(stockLedger.atMs, from, last)))
      .groupBy(lots.kind),
    db
      .selectDistinct({ code: builds.code, title: builds.title })
      .from(stockLedger)
      .innerJoin(needs, and(eq(needs.id, stockLedger.needId), isNull(needs.deletedMs)))
      .innerJoin(builds, and(eq(builds.id, needs.buildId), isNull(builds.deletedMs)))
      .where(between(stockLedger.atMs, from, last)),
    db
      .select({ n: count() })
      .from(notes)
      .where(and(isNull(notes.deletedMs), eq(notes.question, true), between(notes.createdMs, from, last))),
    db
      .select({ n: count() })
      .from(notes)
      .where(and(isNull(notes.deletedMs), between(notes.answeredMs, from, last))),
  ]);
  return {
    came: one(came).n,
    ended,
    minutes: one(worked).minutes + one(harvested).minutes,
    logged: one(logged).n,
    harvested: one(moved).harvested,
    used: one(moved).used,
    usedKinds,
    builds: served,
    asked: one(asked).n,
    answered: one(answered).n,
  };
}

/** Donors that are in work and were not touched since a moment, the longest first. */
export async function untouchedDonors(db: Queryable, since: number, limit: number) {
  const touched = sql<number>`max(coalesce((select max(j.at_ms) from journal j where j.donor_id = "donors"."id"), 0), "donors"."created_ms")`;
  return db
    .select({
      code: donors.code,
      maker: donors.maker,
      model: donors.model,
      description: donors.description,
      touchedMs: touched.mapWith(Number),
    })
    .from(donors)
    .where(and(isNull(donors.deletedMs), isNull(donors.closedMs), sql`${touched} < ${since}`))
    .orderBy(touched)
    .limit(limit);
}
