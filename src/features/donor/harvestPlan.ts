import {
  adviseWhole,
  experienceOf,
  jobsOf,
  planHarvest,
  type HarvestJob,
  type HarvestPart,
  type Plan,
  type WholeAdvice,
} from '../../core/harvest';
import { judgeNameplate } from '../../core/nameplate';
import { RATINGS } from '../../core/part';
import { formatQuantity } from '../../core/quantity';
import { likenessOf, MAIN_VALUES, matchLot, parseFilter, type StockFilter } from '../../core/stock';
import type { Queryable } from '../../db/client';
import { listBuilds } from '../../db/repositories/builds';
import { donorOverview, type Donor } from '../../db/repositories/donors';
import { heldLike, openRun, pastSteps, type HarvestRun, type HarvestStep } from '../../db/repositories/harvest';
import { listParts, type PartRecord } from '../../db/repositories/parts';
import { plateOf } from '../../db/repositories/plate';
import { latestSoak } from '../../db/repositories/soaks';
import { judgeRecord } from './judgeRecord';
import { notDeadSays } from './notDead';
import { testContext, type TestContext } from './testContext';

/** Builds looked through for needs. */
const BUILDS = 50;
/** Enough minutes to take all there is, for weighing the whole against its parts. */
const ALL_DAY = 240;

export interface PlannedHarvest {
  readonly jobs: readonly HarvestJob[];
  readonly plan: Plan;
  /** Minutes that the plan may use now. */
  readonly budget: number;
  readonly run: { readonly run: HarvestRun; readonly steps: readonly HarvestStep[] } | undefined;
  readonly whole: WholeAdvice | undefined;
}

/**
 * The plan of a board for the minutes at hand: those asked for, or what is left of the run that is under way.
 * @param now milliseconds
 */
export async function harvestPlan(
  db: Queryable,
  donor: Donor,
  of: { minutes: number; now: number },
): Promise<PlannedHarvest> {
  const [records, overview, context, run, past] = await Promise.all([
    listParts(db, donor.id),
    donorOverview(db, donor),
    testContext(db, donor),
    openRun(db, donor.id),
    pastSteps(db),
  ]);
  const steps = run?.steps ?? [];
  // What broke came off all the same; it stands in nobody's way any more.
  const there = records.filter(
    ({ part }) =>
      part.state === 'on-board' && !part.fitments.includes('unpopulated') && !part.damage.includes('broken'),
  );
  const parts = await worthOf(db, there, context);
  const gone = new Set(steps.filter(({ outcome }) => outcome === 'skipped').flatMap(({ jobId }) => jobId.split(',')));
  const done = new Set(steps.filter(({ outcome }) => outcome === 'done').map(({ jobId }) => jobId));
  // What is left for this time is no job, but it still stands before what is behind it.
  const jobs = jobsOf(parts, {
    experience: experienceOf(past),
    live: notDeadSays(overview) !== null,
    done,
  }).filter(({ id, refs }) => !gone.has(id) && !(refs.length > 0 && refs.every((ref) => gone.has(ref))));
  const budget = run ? Math.max(0, run.run.minutes - (of.now - run.run.startedMs) / 60000) : of.minutes;
  return { jobs, plan: planHarvest(jobs, budget), budget, run, whole: await wholeOf(db, donor, jobs) };
}

async function wholeOf(db: Queryable, donor: Donor, jobs: readonly HarvestJob[]): Promise<WholeAdvice | undefined> {
  if (donor.symptomKind !== 'works') return undefined;
  const plate = plateOf(donor);
  const all = planHarvest(jobs, ALL_DAY);
  return adviseWhole(
    {
      works: true,
      soaked: (await latestSoak(db, donor.id)).length > 0,
      watts: judgeNameplate(plate).ratedPower,
      outputs: plate.outputs.length,
    },
    all,
  );
}

async function worthOf(db: Queryable, records: readonly PartRecord[], context: TestContext): Promise<HarvestPart[]> {
  const [held, needs] = await Promise.all([
    heldLike(
      db,
      records.map(({ part, ratings }) => likenessOf({ ...part, ratings })),
    ),
    openNeeds(db),
  ]);
  return records.map((record, index) => {
    const { part } = record;
    const judgement = judgeRecord(record, context);
    const grade = part.damage.length > 0 ? 'reject' : judgement?.grade;
    return {
      ref: part.ref,
      kind: part.kind,
      subtype: part.subtype,
      package: part.package,
      marking: part.marking,
      says: valueSays(record),
      grade,
      unsettled: judgement?.verdict === 'retest',
      held: held[index] ?? 0,
      needs: needsFor(record, grade === undefined || grade === 'reject' ? null : grade, needs),
      wish: part.wish,
      mounting: part.mounting,
    };
  });
}

function valueSays({ part, ratings }: PartRecord): string {
  const name = MAIN_VALUES.find((rating) => ratings[rating]);
  const value = name && ratings[name]?.value;
  return [name && value !== undefined ? formatQuantity(value, RATINGS[name].unit) : '', part.subtype ?? '']
    .filter((word) => word !== '')
    .join(' ');
}

interface OpenNeed {
  readonly title: string;
  readonly filter: StockFilter;
}

async function openNeeds(db: Queryable): Promise<OpenNeed[]> {
  return (await listBuilds(db, BUILDS)).flatMap(({ build, needs }) =>
    needs.flatMap(({ need, filled }) => {
      const parsed = filled < need.quantity ? parseFilter(need.filter) : undefined;
      return parsed?.ok && parsed.filter.kind ? [{ title: build.title, filter: parsed.filter }] : [];
    }),
  );
}

function needsFor({ part, ratings }: PartRecord, grade: 'A' | 'B' | 'C' | null, needs: readonly OpenNeed[]) {
  const found = needs.flatMap(({ title, filter }) => {
    const { verdict } = matchLot(filter, { kind: part.kind, grade, ratings });
    return verdict === 'fits' || verdict === 'limit' ? [{ title, verdict }] : [];
  });
  return found.sort((a, b) => (a.verdict === b.verdict ? 0 : a.verdict === 'fits' ? -1 : 1));
}
