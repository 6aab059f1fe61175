import { and, desc, eq, gt, inArray, isNull, sql } from 'drizzle-orm';
import type { PastStep } from '../../core/harvest';
import type { KindName, RatingName } from '../../core/part';
import type { Queryable } from '../client';
import { harvestRuns, harvestSteps, lotRatings, lots } from '../schema';

export type HarvestRun = typeof harvestRuns.$inferSelect;
export type HarvestStep = typeof harvestSteps.$inferSelect;

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

/** Pieces in the drawers by what makes parts alike. */
export interface HeldPieces {
  readonly kind: KindName;
  readonly marking: string;
  readonly package: string | null;
  /** Main value of a passive part, SI. */
  readonly value: number | null;
  readonly pieces: number;
}

const MAIN_VALUES: readonly RatingName[] = ['resistance', 'capacitance', 'inductance'];

/** The marking of pieces that bear one nobody asked for. */
const OTHER_MARKING = '?';

/**
 * What the drawers hold of some kinds, by marking, case and main value. Markings that were not asked for are one, since
 * a large shop has as many as lots.
 */
export async function heldPieces(
  db: Queryable,
  of: { kinds: readonly KindName[]; markings: readonly string[] },
): Promise<HeldPieces[]> {
  if (of.kinds.length === 0) return [];
  const marking = sql<string>`case when ${lots.marking} = '' or ${lots.marking} in (select value from json_each(${JSON.stringify(of.markings)})) then ${lots.marking} else ${OTHER_MARKING} end`;
  return db
    .select({
      kind: lots.kind,
      marking: marking.as('asked_marking'),
      package: lots.package,
      value: lotRatings.valueSi,
      pieces: sql<number>`sum(${lots.onHand})`.mapWith(Number),
    })
    .from(lots)
    .leftJoin(
      lotRatings,
      and(eq(lotRatings.lotId, lots.id), inArray(lotRatings.name, [...MAIN_VALUES]), isNull(lotRatings.supersededMs)),
    )
    .where(and(inArray(lots.kind, [...of.kinds]), gt(lots.onHand, 0), isNull(lots.deletedMs)))
    .groupBy(lots.kind, sql`asked_marking`, lots.package, lotRatings.valueSi);
}
