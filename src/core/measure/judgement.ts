import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import {
  ACCURACY_UNIT,
  DEFAULT_ACCURACY,
  SETTLED_SPAN,
  uncertaintyOf,
  withinLimit,
  type Accuracy,
  type Uncertainty,
} from '../uncertainty';
import type { Limit } from './limits';

/** What to do with a part. */
export type Verdict = 'keep' | 'limit' | 'retest' | 'scrap';

/** A as new, B good with limits stated, C for undemanding use. */
export type Grade = 'A' | 'B' | 'C' | 'reject';

export interface Reason {
  readonly severity: 'ok' | 'note' | 'warn' | 'reject' | 'cannot tell';
  readonly text: string;
}

export interface Judgement {
  readonly verdict: Verdict;
  readonly grade?: Grade;
  readonly reasons: readonly Reason[];
  /** What the part may not be used for, or only in part; it travels with the lot. */
  readonly limits: readonly Limit[];
}

/** A meter reading; an open circuit (“OL”) is Infinity. */
export interface Measured {
  readonly value: number;
  readonly resolution: number;
}

/** What a meter can be stated for. */
export type AccuracyName = keyof typeof DEFAULT_ACCURACY;
export type MeterAccuracies = Partial<Readonly<Record<AccuracyName, Accuracy>>>;

/** A reading with how it was taken. */
export interface Reading extends Measured {
  /** The rest of the board lay in parallel, and what it adds is not known to be nothing. */
  readonly inCircuit?: boolean;
  /** Of the meter it was taken with; the usual figures stand in for what is not stated. */
  readonly meter?: MeterAccuracies | undefined;
  /** Its last digit is as it stands, since it was worked out and not typed. */
  readonly isWorkedOut?: true;
}

/** Readings by the field of the test they belong to. */
export type Readings = Readonly<Partial<Record<string, Reading>>>;

/** One criterion's outcome: a grade, or undecided, with the limits that grade carries. */
export interface Criterion {
  readonly grade: Grade | 'cannot tell';
  readonly text: string;
  readonly limits?: readonly Limit[];
}

const WORST_FIRST = ['reject', 'cannot tell', 'C', 'B', 'A'] as const;
const SEVERITY = { A: 'ok', B: 'note', C: 'warn', reject: 'reject', 'cannot tell': 'cannot tell' } as const;
const VERDICT = { A: 'keep', B: 'limit', C: 'limit', reject: 'scrap', 'cannot tell': 'retest' } as const;

/** Puts criteria together: the worst decides. */
export function judge(criteria: readonly Criterion[]): Judgement {
  const worst = WORST_FIRST.find((grade) => criteria.some((criterion) => criterion.grade === grade)) ?? 'cannot tell';
  const reasons: Reason[] = criteria.map(({ grade, text }) => ({ severity: SEVERITY[grade], text }));
  if (worst === 'cannot tell') return { verdict: 'retest', reasons, limits: [] };
  const limits = worst === 'reject' ? [] : criteria.flatMap((criterion) => criterion.limits ?? []);
  return { verdict: VERDICT[worst], grade: worst, reasons, limits };
}

/**
 * The criterion of one reading, if it was taken. A reading taken in circuit can condemn a part or leave
 * it open, never pass it, since the board lies in parallel.
 * @param missing what to say when it was not taken; null when it is not needed
 * @param meter what the reading was taken with, when `of` looks at its face value alone
 */
export function criterionOf(
  reading: Reading | undefined,
  missing: string | null,
  of: (reading: Reading) => Criterion,
  meter?: AccuracyName,
): readonly Criterion[] {
  if (!reading) return missing === null ? [] : [{ grade: 'cannot tell', text: missing }];
  const found = meter
    ? withinUncertainty(reading.value, meterUncertainty(reading, meter), (value) => of({ ...reading, value }))
    : of(reading);
  if (!reading.inCircuit || found.grade === 'reject') return [found];
  const text = `${found.text} Measured in circuit, where the board lies in parallel: lift one leg and measure again.`;
  return [{ grade: 'cannot tell', text }];
}

/** What is wrong to the eye; each word is enough to scrap a part. */
export function damageCriteria(damage: readonly string[]): readonly Criterion[] {
  return damage.map((word) => ({ grade: 'reject', text: `It is ${word}.` }));
}

/** The uncertainty of a reading by the meter it was taken with, in the unit of the reading. */
export function readingUncertainty(reading: Reading, name: AccuracyName): Uncertainty {
  const accuracy = reading.meter?.[name] ?? DEFAULT_ACCURACY[name];
  return uncertaintyOf({ reading: reading.value, resolution: lastDigit(reading, name), accuracy });
}

/** Digits that a meter shows of whatever it can measure well; in ohms from here up. */
const SHOWN = practice({ digits: 3, fromOhms: 10 } as const);

/** The last digit of the meter: who reads 8.00 V types 8. Of few ohms it shows no more than was typed. */
function lastDigit({ value, resolution, isWorkedOut }: Reading, name: AccuracyName): number {
  if (
    isWorkedOut ||
    name === 'esr' ||
    (name === 'ohm' && value < SHOWN.fromOhms) ||
    !Number.isFinite(value) ||
    value <= 0
  )
    return resolution;
  return Math.min(resolution, 10 ** (Math.floor(Math.log10(value)) - SHOWN.digits + 1));
}

function meterUncertainty(reading: Reading, meter: AccuracyName): StatedUncertainty {
  const { standard, expanded } = readingUncertainty(reading, meter);
  // What people are kept safe by passes only when all of the expanded uncertainty lies on the right side.
  const reach = meter === 'insulation' ? expanded / SETTLED_SPAN : standard;
  return {
    standard: reach,
    message: `± ${formatQuantity(expanded, ACCURACY_UNIT[meter], { digits: 2 })} of the meter`,
  };
}

/** How unsure a value is: its standard uncertainty, and that in words, like `± 2 mV of the meter`. */
export interface StatedUncertainty {
  readonly standard: number;
  readonly message: string;
}

/**
 * What a value says when it might be as much higher or lower as its uncertainty leaves open. Where that decides between
 * keeping and scrapping nothing is settled; where it decides between grades the lower one counts. The edge of what is
 * merely usual settles nothing either way.
 */
export function withinUncertainty(
  value: number,
  { standard, message }: StatedUncertainty,
  of: (value: number) => Criterion,
): Criterion {
  const found = of(value);
  if (found.grade === 'cannot tell' || !Number.isFinite(value)) return found;
  const might = [-1, 1].map((side) => of(value + side * SETTLED_SPAN * standard));
  if (might.some(({ grade }) => (grade === 'reject') !== (found.grade === 'reject')))
    return { grade: 'cannot tell', text: `${found.text} But ${message} straddles that limit: it cannot tell.` };
  const sure = might.filter(({ grade }) => grade !== 'cannot tell');
  const lowest = worseOf(found.grade, ...sure.map(({ grade }) => grade));
  const lower = sure.find(({ grade }) => grade === lowest && grade !== found.grade);
  if (lower) return { ...lower, text: `${found.text} With ${message} that is no sure ${found.grade}.` };
  return sure.length < might.length ? { ...found, text: `${found.text} ${message} reaches the edge of that.` } : found;
}

/**
 * The difference of two readings of one meter: what it reads too much in per cent cancels, its last digits do not. The
 * finer of both is its last digit: a person who reads 0.250 and 0.253 may well type 0.25.
 */
export function difference(first: Reading, second: Reading): Reading {
  const resolution = Math.SQRT2 * Math.min(first.resolution, second.resolution);
  return { ...first, ...second, value: Math.abs(first.value - second.value), resolution, isWorkedOut: true };
}

/**
 * The best grade whose limit a value keeps with its uncertainty; undecided when even the lowest
 * limit cannot be told from the value, reject when it is broken.
 */
export function gradeAgainst(
  value: number,
  standard: number,
  limits: readonly { grade: 'A' | 'B' | 'C'; limit: number }[],
  side: 'at-most' | 'at-least',
): Criterion['grade'] {
  const outcomes = limits.map(({ grade, limit }) => ({
    grade,
    verdict: withinLimit({ value, standard, limit, side }).verdict,
  }));
  const kept = outcomes.find(({ verdict }) => verdict === 'within');
  if (kept) return kept.grade;
  return outcomes.some(({ verdict }) => verdict === 'cannot-tell') ? 'cannot tell' : 'reject';
}

/** The worse of two outcomes. */
export function worseOf(...grades: readonly Criterion['grade'][]): Criterion['grade'] {
  return WORST_FIRST.find((grade) => grades.includes(grade)) ?? 'cannot tell';
}
