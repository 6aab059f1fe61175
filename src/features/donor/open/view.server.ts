import type { Donor } from '../../../core/donor';
import 'server-only';
import {
  DAMAGES,
  likeness,
  SEAMS,
  seamRecords,
  type SeamName,
  USUAL_SEAMS,
  type UnitLikeness,
  type RecordedOpeningStep,
} from '../../../core/opening';
import { typedTime } from '../../../core/quantity';
import type { UnitCaution } from '../../../core/safety';

import { donorTitle } from '../../../db/repositories/donors';
import {
  allOpeningSteps,
  latestReassembly,
  listSpells,
  openedDonors,
  openingMinutes,
  openingNotes,
} from '../../../db/repositories/openings';
import { ageOf } from '../../../db/repositories/plate';
import { donorCautions } from '../../../services/board';
import { type Dossier, unitRecord } from '../../../services/dossier';
import { notesView, type NoteView } from '../shared/notes.server';

export interface OpeningStepView {
  readonly id: string;
  readonly number: number;
  readonly seam: string;
  readonly what: string;
  readonly place: string;
  readonly method: string;
  readonly minutes: string;
  readonly damage: string;
  readonly kept: string;
  /** The step as it would be typed, for correcting it. */
  readonly typed: StepTexts;
}

/** The fields of a step. */
export type StepTexts = Readonly<
  Record<'seam' | 'place' | 'count' | 'drive' | 'damage' | 'method' | 'kept' | 'minutes', string>
>;

/** How a donor came apart, and what worked on its like. */
export interface OpeningView {
  readonly steps: readonly OpeningStepView[];
  readonly notes: readonly NoteView[];
  /** The clock: milliseconds of the stretches that ended, and when the present one began. */
  readonly clock: { readonly doneMs: number; readonly runningSince: number | null };
  readonly reassembly: string | null;
  /** Similar units, most alike first, with what was done to them. */
  readonly like: readonly {
    readonly code: string;
    readonly title: string;
    readonly why: string;
    readonly minutes: string;
    readonly damage: string;
    readonly lines: readonly string[];
  }[];
  /** Per seam and method, how often it came apart whole. */
  readonly records: readonly { readonly label: string; readonly message: string }[];
  /** Tips for the seams of this unit, or of its like. */
  readonly tips: readonly string[];
  readonly cautions: readonly UnitCaution[];
}

const RESULT = {
  works: 'together again, and it works',
  closed: 'together again',
  loose: 'together, with something loose or left over',
  'not-possible': 'cannot be put together again',
} as const;

/** Opened donors looked through, and how many are shown; steps counted for the records. */
const LOOKED_THROUGH = 300;
const SHOWN = 4;
const STEPS = 5000;
/** Below this two units have too little in common to learn from. Common practice, no source. */
const LIKE_FROM = 0.3;

export async function openingView(dossier: Dossier): Promise<OpeningView> {
  const { db, donor, now: moment } = dossier;
  const [steps, notes, spells, reassembly, others, everyStep, unit] = await Promise.all([
    dossier.openingSteps(),
    notesView(dossier, { station: 'open' }),
    listSpells(db, donor.id, 'open'),
    latestReassembly(db, donor.id),
    openedDonors(db, donor.id, LOOKED_THROUGH),
    allOpeningSteps(db, STEPS),
    unitRecord(dossier),
  ]);
  const own = likenessOf(donor, steps, unit.year);
  const ranked = others
    .map((other) => ({
      ...other,
      ...likeness(own, likenessOf(other.donor, other.steps, ageOf(other.donor, [], moment).newest?.year)),
    }))
    .filter(({ score }) => score >= LIKE_FROM)
    .sort((a, b) => b.score - a.score)
    .slice(0, SHOWN);
  const ids = ranked.map((entry) => entry.donor.id);
  const [minutes, theirNotes] = await Promise.all([openingMinutes(db, ids), openingNotes(db, ids)]);
  const seams = seamsOf(steps);
  const seen = seams.length > 0 ? seams : seamsOf(ranked.flatMap((entry) => entry.steps));
  const telling = seen.length > 0 ? seen : USUAL_SEAMS[donor.kind];
  return {
    steps: steps.map(stepView),
    notes,
    clock: {
      doneMs: spells.reduce((sum, { startedMs, endedMs }) => sum + (endedMs === null ? 0 : endedMs - startedMs), 0),
      runningSince: spells.find(({ endedMs }) => endedMs === null)?.startedMs ?? null,
    },
    reassembly: reassembly
      ? `${RESULT[reassembly.result]}${reassembly.remark === '' ? '' : `: ${reassembly.remark}`}`
      : null,
    like: ranked.map((entry) => {
      const took = minutes.get(entry.donor.id) ?? typedMinutes(entry.steps);
      return {
        code: entry.donor.code,
        title: donorTitle(entry.donor),
        why: entry.why.join(', '),
        minutes: took > 0 ? `${Math.max(1, Math.round(took))} min` : 'time not kept',
        damage: worstDamage(entry.steps),
        lines: [
          ...entry.steps.map(stepLine),
          ...theirNotes.filter(({ donorId }) => donorId === entry.donor.id).map(({ text }) => text),
        ],
      };
    }),
    records: seamRecords(everyStep)
      .filter(({ seam }) => telling.length === 0 || telling.includes(seam))
      .slice(0, 6)
      .map(({ seam, method, tries, whole }) => ({
        label: `${SEAMS[seam].label}${method ? `, ${method}` : ''}`,
        message: `${whole} of ${tries} whole`,
      })),
    tips: telling.map((seam) => `${SEAMS[seam].label}: ${SEAMS[seam].tip}`),
    cautions: await donorCautions(dossier, unit),
  };
}

function likenessOf(donor: Donor, steps: readonly RecordedOpeningStep[], year: number | undefined): UnitLikeness {
  const { lengthM, widthM, heightM } = donor;
  return {
    kind: donor.kind,
    maker: donor.maker,
    model: donor.model,
    seams: seamsOf(steps),
    ...(lengthM && widthM && heightM ? { volume: lengthM * widthM * heightM } : {}),
    ...(year === undefined ? {} : { year }),
  };
}

const seamsOf = (steps: readonly { seam: SeamName }[]) => [...new Set(steps.map(({ seam }) => seam))];

function stepView(step: RecordedOpeningStep, index: number): OpeningStepView {
  return {
    id: step.id,
    number: index + 1,
    seam: SEAMS[step.seam].label,
    what: [step.count === null ? '' : `${step.count} x`, step.drive].filter((word) => word !== '').join(' '),
    place: step.place,
    method: step.method,
    minutes: step.minutes === null ? '' : `${Number(step.minutes.toFixed(1))} min`,
    damage: step.damage === 'none' ? '' : DAMAGES[step.damage],
    kept: step.kept,
    typed: {
      seam: step.seam,
      place: step.place,
      count: step.count === null ? '' : String(step.count),
      drive: step.drive,
      damage: step.damage,
      method: step.method,
      kept: step.kept,
      minutes: step.minutes === null ? '' : typedTime(step.minutes * 60),
    },
  };
}

function stepLine(step: RecordedOpeningStep): string {
  const view = stepView(step, 0);
  return [[view.what, view.seam].filter((word) => word !== '').join(' '), view.place, view.method, view.damage]
    .filter((word) => word !== '')
    .join(', ');
}

const typedMinutes = (steps: readonly RecordedOpeningStep[]) =>
  steps.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);

function worstDamage(steps: readonly RecordedOpeningStep[]): string {
  const order = ['destroyed', 'cracked', 'cosmetic'] as const;
  const worst = order.find((damage) => steps.some((step) => step.damage === damage));
  return worst ? DAMAGES[worst] : 'came apart whole';
}
