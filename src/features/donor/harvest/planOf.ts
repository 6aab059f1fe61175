import {
  adviseWhole,
  allotNeeds,
  experienceOf,
  jobsOf,
  planHarvest,
  type HarvestJob,
  type HarvestPart,
  type Plan,
  type WholeAdvice,
  type HarvestRun,
  type HarvestStep,
} from '../../../core/harvest';
import { judgeNameplate } from '../../../core/nameplate';
import { RATINGS } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { likenessOf, MAIN_VALUES } from '../../../core/stock';
import type { Queryable } from '../../../db/client';
import { heldLike, openRun, pastSteps } from '../../../db/repositories/harvest';
import type { PartRecord } from '../../../db/repositories/parts';
import { latestSoak } from '../../../db/repositories/soaks';
import { judgeRecord, testContext, type TestContext } from '../../../services/board';
import { notDeadMessage, type Dossier } from '../../../services/dossier';
import { needsBeyondStock } from '../../../services/matching';

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

/** The plan of a board for the minutes at hand: those asked for, or what is left of the run that is under way. */
export async function harvestPlan(dossier: Dossier, of: { minutes: number }): Promise<PlannedHarvest> {
  const { db, donor, now } = dossier;
  const [records, overview, context, run, past] = await Promise.all([
    dossier.parts(),
    dossier.overview(),
    testContext(dossier),
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
    live: notDeadMessage(overview, 'harvest') !== null,
    done,
  }).filter(({ id, refs }) => !gone.has(id) && !(refs.length > 0 && refs.every((ref) => gone.has(ref))));
  const budget = run ? Math.max(0, run.run.minutes - (now - run.run.startedMs) / 60000) : of.minutes;
  return { jobs, plan: planHarvest(jobs, budget), budget, run, whole: await wholeOf(dossier, jobs) };
}

async function wholeOf({ db, donor, plate }: Dossier, jobs: readonly HarvestJob[]): Promise<WholeAdvice | undefined> {
  if (donor.symptomKind !== 'works') return undefined;
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
  const judged = records.map((record) => ({ record, judgement: judgeRecord(record, context) }));
  const graded = judged.map(({ record, judgement }) => ({
    record,
    grade: record.part.damage.length > 0 ? ('reject' as const) : judgement?.grade,
    isUnsettled: judgement?.verdict === 'retest',
  }));
  const takeable = graded.flatMap(({ record: { part, ratings }, grade }) =>
    grade === 'reject' || part.wish === 'leave'
      ? []
      : [{ ref: part.ref, kind: part.kind, subtype: part.subtype, grade: grade ?? null, ratings }],
  );
  const [held, needs] = await Promise.all([
    heldLike(
      db,
      records.map(({ part, ratings }) => likenessOf({ ...part, ratings })),
    ),
    needsBeyondStock(db, new Set(takeable.map(({ kind }) => kind))),
  ]);
  const allotted = allotNeeds(
    takeable,
    needs.map(({ build, filter, pieces }) => ({ title: build.title, filter, pieces })),
  );
  return graded.map(({ record, grade, isUnsettled }, index) => {
    const { part } = record;
    return {
      ref: part.ref,
      kind: part.kind,
      subtype: part.subtype,
      package: part.package,
      farads: record.ratings.capacitance?.value,
      marking: part.marking,
      message: valueText(record),
      grade,
      unsettled: isUnsettled,
      held: held[index] ?? 0,
      need: allotted.get(part.ref),
      wish: part.wish,
      mounting: part.mounting,
    };
  });
}

function valueText({ part, ratings }: PartRecord): string {
  const name = MAIN_VALUES.find((rating) => ratings[rating]);
  const value = name && ratings[name]?.value;
  return [name && value !== undefined ? formatQuantity(value, RATINGS[name].unit) : '', part.subtype ?? '']
    .filter((word) => word !== '')
    .join(' ');
}
