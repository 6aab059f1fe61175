import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { PastStep, HarvestRun, HarvestStep } from '../../core/harvest';
import type { Likeness } from '../../core/stock';
import type { Queryable } from '../client';
import { harvestRuns, harvestSteps } from '../schema';

/** The run of a donor that has not ended, with its steps in order. */
export async function openRun(
  db: Queryable,
  donorId: string,
): Promise<{ run: HarvestRun; steps: HarvestStep[] } | undefined> {
  const [run] = await db
    .select()
    .from(harvestRuns)
    .where(and(eq(harvestRuns.donorId, donorId), isNull(harvestRuns.endedMs), isNull(harvestRuns.deletedMs)))
    .orderBy(desc(harvestRuns.id))
    .limit(1);
  return run && { run, steps: await stepsOf(db, run.id) };
}

async function stepsOf(db: Queryable, runId: string): Promise<HarvestStep[]> {
  return db
    .select()
    .from(harvestSteps)
    .where(and(eq(harvestSteps.runId, runId), isNull(harvestSteps.deletedMs)))
    .orderBy(harvestSteps.id);
}

/** How many of the latest steps a person's pace and breakages are learnt from. */
const LEARNT_FROM = 400;

/** What was done or broken lately on any board; what was skipped teaches nothing. */
export async function pastSteps(db: Queryable): Promise<PastStep[]> {
  const rows = await db
    .select({
      class: harvestSteps.effort,
      package: harvestSteps.package,
      outcome: harvestSteps.outcome,
      tableMinutes: harvestSteps.predictedMin,
      seconds: harvestSteps.takenS,
    })
    .from(harvestSteps)
    .where(isNull(harvestSteps.deletedMs))
    .orderBy(desc(harvestSteps.id))
    .limit(LEARNT_FROM);
  return rows.flatMap(({ outcome, ...step }) => (outcome === 'skipped' ? [] : [{ ...step, outcome }]));
}

/** The bin that was used last, for the next run; none in an empty shop. */
export async function lastBin(db: Queryable): Promise<string | undefined> {
  const [row] = await db.select({ bin: harvestRuns.bin }).from(harvestRuns).orderBy(desc(harvestRuns.id)).limit(1);
  return row?.bin;
}

const IN_STOCK = sql`l.deleted_ms is null and l.on_hand > 0`;

/**
 * How many pieces the drawers hold like each of some parts. Each is asked for by what makes it alike, off the index for
 * that, since a large shop has as many numbers as lots.
 */
export async function heldLike(db: Queryable, likes: readonly Likeness[]): Promise<number[]> {
  const keys = likes.map((like) => JSON.stringify(like));
  const asked = [...new Set(keys)];
  if (asked.length === 0) return [];
  const like = (path: string) => sql`json_extract(asked.value, ${`$.${path}`})`;
  const pieces = await db.all<{ pieces: number | null }>(sql`
    select case ${like('by')}
      when 'value' then (
        select sum(l.on_hand) from lot_ratings r cross join lots l on l.id = r.lot_id
        where r.name = ${like('rating')} and r.superseded_ms is null
          and r.value_si between ${like('low')} and ${like('high')} and l.kind = ${like('kind')} and ${IN_STOCK})
      when 'marking' then (
        select sum(l.on_hand) from lots l indexed by lots_words
        where l.marking = ${like('marking')} and l.kind = ${like('kind')} and ${IN_STOCK})
      else (
        select sum(l.on_hand) from lots l
        where l.kind = ${like('kind')} and l.package is ${like('package')} and ${IN_STOCK})
      end as pieces
    from json_each(${`[${asked.join(',')}]`}) asked order by asked.key`);
  const held = new Map(asked.map((key, index) => [key, Number(pieces[index]?.pieces ?? 0)]));
  return keys.map((key) => held.get(key) ?? 0);
}
