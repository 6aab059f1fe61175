import 'server-only';
import { ratingsForStock, type TestContext } from '../../../services/board';
import type { TableColumn, TableRow } from '../../../ui/list/rows';
import { partHead, partsTable, ratingText, type JudgedPart, type PartHead } from '../shared/partsTable.server';
import { jobTitle, showMinutes, whyLeft, worthTesting, type HarvestJob, type Mounting } from '../../../core/harvest';
import { kindRule, RATINGS } from '../../../core/part';

import { lastBin } from '../../../db/repositories/harvest';
import { lotsOfDonor } from '../../../db/repositories/lotSearch';
import { listBinCodes } from '../../../db/repositories/lots';
import { harvestPlan, type PlannedHarvest } from './planOf';
import { ratingSummary } from '../shared/words';
import type { Dossier } from '../../../services/dossier';

/** A job of the plan as it is shown. */
export interface JobView {
  readonly id: string;
  readonly title: string;
  /** The part it takes, when it is one. */
  readonly ref: string | null;
  readonly minutes: string;
  /** Minutes from the start by when it should be done. */
  readonly by: string;
  readonly why: string;
  readonly isSetup: boolean;
}

/** The job in hand, in full. */
export interface JobInHand extends JobView {
  readonly tip: string;
  readonly hazards: readonly string[];
  /** Milliseconds at which it was begun. */
  readonly sinceMs: number;
  readonly predictedS: number;
}

export interface HarvestView {
  readonly minutes: number;
  readonly plan: {
    /** Untested parts that it takes, and those it would take if they passed; what a test would tell most of first. */
    readonly untested: { readonly taken: readonly string[]; readonly left: readonly string[] };
    readonly jobs: readonly JobView[];
    readonly taken: number;
    readonly message: string;
    /** How sure the plan is the best there is. */
    readonly exact: string;
    readonly left: readonly { readonly title: string; readonly why: string }[];
  };
  readonly run: {
    readonly minutesLeft: number;
    readonly endsMs: number;
    readonly bin: string;
    readonly inHand: JobInHand | null;
    readonly steps: readonly { readonly title: string; readonly outcome: string; readonly took: string }[];
  } | null;
  readonly whole: { readonly leave: boolean; readonly message: string } | null;
  readonly bins: readonly string[];
  /** The bin used last, or an empty text. */
  readonly bin: string;
  readonly lots: readonly {
    readonly code: string;
    readonly message: string;
    readonly grade: string | null;
    readonly pieces: number;
    readonly bin: string;
  }[];
}

/** With less than this share of the time in use a person is told why. */
const SPENT = 0.8;

/** Minutes planned for when nobody said how many there are. */
const USUAL_MINUTES = 40;

/** The minutes of an address; the usual ones when it names none that make sense. */
export function minutesIn(text: string | undefined): number {
  const minutes = Number(text ?? '');
  return Number.isInteger(minutes) && minutes >= 1 && minutes <= 600 ? minutes : USUAL_MINUTES;
}

/** One part at the Harvest station. */
export interface TakenPartView extends PartHead {
  readonly wish: 'take' | 'leave' | null;
  readonly mounting: Mounting;
  /** What the lot will carry, should it be taken now. */
  readonly forStock: readonly { label: string; value: string; source: string }[];
}

/** The parts of the board as a table, and one of them in full. */
export interface BoardPartsView {
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  readonly selected: TakenPartView | null;
  /** Parts that sit on the board still. */
  readonly onBoard: number;
}

/** The parts of the board, with what the lot of the chosen one would carry. */
export async function boardPartsView(dossier: Dossier, wanted: string | undefined): Promise<BoardPartsView> {
  const { columns, rows, fitted, chosen, context } = await partsTable(dossier, { station: 'harvest', wanted });
  return {
    columns,
    rows,
    selected: chosen ? takenPart(chosen, context) : null,
    onBoard: fitted.filter(({ record }) => record.part.state === 'on-board').length,
  };
}

function takenPart(chosen: JudgedPart, context: TestContext): TakenPartView {
  const { wish, mounting } = chosen.record.part;
  // The last of each rating is the one that counts.
  const counting = new Map(ratingsForStock(chosen.record, context).map((rating) => [rating.name, rating]));
  return {
    ...partHead(chosen),
    wish,
    mounting,
    forStock: [...counting.values()].map(({ name, value, source }) => ({
      label: RATINGS[name].label,
      value: ratingText(name, value),
      source,
    })),
  };
}

/** The plan of a board for the minutes at hand, the run that is under way, and what came of the board so far. */
export async function harvestView(dossier: Dossier, minutes = USUAL_MINUTES): Promise<HarvestView> {
  const { db, donor } = dossier;
  const [planned, lots, bins, bin] = await Promise.all([
    harvestPlan(dossier, { minutes }),
    lotsOfDonor(db, donor.id),
    listBinCodes(db),
    lastBin(db),
  ]);
  return {
    minutes,
    plan: planView(planned),
    run: runView(planned),
    whole: planned.whole ?? null,
    bins,
    bin: planned.run?.run.bin ?? bin ?? '',
    lots: lots.map(({ lot, bin: where, ratings }) => ({
      code: lot.code,
      message: [kindRule(lot.kind).label, lot.marking, ...ratingSummary(lot.kind, ratings, 2).map(({ text }) => text)]
        .filter((word) => word !== '')
        .join(' '),
      grade: lot.grade,
      pieces: lot.onHand,
      bin: where,
    })),
  };
}

const jobsInOrder = ({ jobs, plan }: PlannedHarvest): readonly HarvestJob[] =>
  plan.order.flatMap((id) => jobs.find((job) => job.id === id) ?? []);

function jobView(job: HarvestJob, by: number): JobView {
  const reasons = job.value?.reasons.slice(0, 2) ?? [];
  return {
    id: job.id,
    title: job.title,
    ref: job.refs.length === 1 ? (job.refs[0] ?? null) : null,
    minutes: showMinutes(job.minutes),
    by: `${Math.ceil(by)}`,
    why: job.refs.length === 0 ? 'clears the way' : reasons.join('; '),
    isSetup: job.refs.length === 0,
  };
}

function planView(planned: PlannedHarvest): HarvestView['plan'] {
  const { jobs, plan, budget } = planned;
  const order = jobsInOrder(planned);
  let by = 0;
  const taken = order.reduce((sum, { refs }) => sum + refs.length, 0);
  return {
    untested: worthTesting(jobs, plan),
    jobs: order.map((job) => jobView(job, (by += job.minutes))),
    taken,
    message: `${taken} ${taken === 1 ? 'part' : 'parts'} in ${showMinutes(plan.minutes)}`,
    exact:
      plan.bound - plan.points < 1e-6
        ? `No other choice gives more for the time.${plan.minutes < SPENT * budget ? ' What is left does not pay for its minutes.' : ''}`
        : `Another choice may give up to ${Math.round(((plan.bound - plan.points) / plan.bound) * 100)} % more.`,
    left: whyLeft(jobs, plan, budget).map(({ job, why }) => ({ title: job.title, why })),
  };
}

const OUTCOME = { done: 'done', broke: 'broke', skipped: 'left' } as const;

function runView(planned: PlannedHarvest): HarvestView['run'] {
  if (!planned.run) return null;
  const { run, steps } = planned.run;
  const [next] = jobsInOrder(planned);
  const sinceMs = steps.at(-1)?.atMs ?? run.startedMs;
  return {
    minutesLeft: planned.budget,
    endsMs: run.startedMs + run.minutes * 60000,
    bin: run.bin,
    inHand: next
      ? { ...jobView(next, next.minutes), tip: next.tip, hazards: next.hazards, sinceMs, predictedS: next.minutes * 60 }
      : null,
    steps: steps.map(({ jobId, outcome, takenS }) => ({
      title: jobTitle(jobId),
      outcome: OUTCOME[outcome],
      took: showMinutes(takenS / 60),
    })),
  };
}
