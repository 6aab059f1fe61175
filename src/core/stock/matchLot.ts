import { UNCERTAIN_DECODE, isUncertain, type Evidenced } from '../evidence';
import { USES, type Grade, type Limit, type Use } from '../measure';
import { RATINGS, type KindName, type RatingName } from '../part';
import { formatQuantity } from '../quantity';
import { LIE_YEARS } from './ageing';
import { checkPlace } from './checkPlace';
import { checkDuty } from './duty/checkDuty';
import { demandedRange, ratingsOf, type AskedKind, type Demand, type StockFilter } from './filter';
import type { MatchCheck } from './matchCheck';

/** What a match needs to know of a lot. */
export interface LotFacts {
  readonly kind: KindName;
  readonly subtype?: string | null;
  readonly technology?: string | null;
  readonly package?: string | null;
  readonly grade: Grade | null;
  /** The part of a donor it was; none of what was counted in. */
  readonly partId?: string | null;
  readonly ratings: Partial<Record<RatingName, Evidenced>>;
  /** What its grade keeps it from. */
  readonly limits?: readonly Limit[];
  /** Years it has lain in its bin, where that counts. */
  readonly lainYears?: number;
}

export interface LotMatch {
  readonly verdict: 'fits' | 'limit' | 'unknown' | 'no';
  /** Smallest margin over all demands. */
  readonly margin?: number;
  /** How far the lot is from what is asked, over all demands that name a value or a least one: 0 is that very value. */
  readonly distance: number;
  readonly checks: readonly MatchCheck[];
}

/** What came off a board untested, or with its test left open, fits on paper only. */
const OPEN: MatchCheck = { outcome: 'fits-on-paper', text: 'taken out without a grade: test it before you rely on it' };
const NO: LotMatch = { verdict: 'no', distance: Infinity, checks: [] };

/** A can that lay long leaks until it is formed again. */
function lain({ kind, subtype, technology, lainYears = 0 }: LotFacts): readonly MatchCheck[] {
  if (kind !== 'capacitor' || (subtype ?? technology) !== 'electrolytic' || lainYears < LIE_YEARS.electrolytic)
    return [];
  return [
    {
      name: 'age',
      outcome: 'fits-on-paper',
      text: `it has lain for ${lainYears.toFixed(1)} years: form it before it is used`,
    },
  ];
}

/** Whether a lot is of a kind as it was asked for. */
export function isOfKind(
  { kinds, variants, not }: AskedKind,
  lot: Pick<LotFacts, 'kind' | 'subtype' | 'technology'>,
): boolean {
  const own = [lot.subtype, lot.technology];
  return (
    kinds.includes(lot.kind) &&
    (!variants || variants.some((variant) => own.includes(variant))) &&
    !not?.some((variant) => own.includes(variant))
  );
}

/**
 * Holds a lot against the demands of a need. A voltage that rests on a doubtful decode counts at
 * half until a datasheet confirms it, so such a lot fits on paper only. Limits travel with the lot: a derated
 * rating counts at its share, a use that is forbidden does not fit, and a forbidden use that was not asked about is
 * told; across the barrier and the mains only parts of the class made for it fit. Demands are taken as written: the person has put their own margin in.
 */
export function matchLot(need: StockFilter, lot: LotFacts): LotMatch {
  if (lot.grade === 'reject' || (need.kind && !isOfKind(need.kind, lot))) return NO;
  if (need.grades && !need.grades.some((grade) => grade === lot.grade)) return NO;
  if (need.packages && lot.package !== undefined && !need.packages.some((name) => isCase(name, lot.package ?? null)))
    return NO;
  const limits = lot.limits ?? [];
  const checks = [
    ...need.demands.map((demand) => checkDemand(demand, lot, limits)),
    ...(need.duty ? checkDuty(need.duty, lot, (rating) => shareOf(rating, limits)) : []),
    ...(need.uses ?? []).flatMap((use) => checkPlace(use, lot) ?? []),
    ...limits.flatMap((limit) => (limit.kind === 'not-for' ? [checkUse(limit.use, need)] : [])),
    ...(need.duty ? lain(lot) : []),
    ...(lot.grade === null && lot.partId ? [OPEN] : []),
  ];
  const margins = checks.map(({ margin }) => margin).filter((margin) => margin !== undefined);
  const has = (outcome: MatchCheck['outcome']) => checks.some((check) => check.outcome === outcome);
  const verdict = has('fails')
    ? 'no'
    : has('unknown')
      ? 'unknown'
      : has('fits-on-paper') || lot.grade === 'C'
        ? 'limit'
        : 'fits';
  return {
    verdict,
    ...(margins.length ? { margin: Math.min(...margins) } : {}),
    distance: need.demands.reduce((sum, demand) => sum + distanceTo(demand, lot.ratings), 0),
    checks,
  };
}

/** A case with its own variants: TO-220AC is a TO-220 with two legs. */
export const caseNames = (asked: string): readonly string[] => (asked === 'TO-220' ? [asked, 'TO-220AC'] : [asked]);
const isCase = (asked: string, own: string | null): boolean =>
  own !== null && caseNames(asked).some((name) => name.toLowerCase() === own.toLowerCase());

/** What is not known is farther off than anything known. */
const UNKNOWN = 10;

/** How far a rating is from a demand, as a logarithm; a range is met or not, no nearer. */
function distanceTo({ comparison, value, ...demand }: Demand, ratings: LotFacts['ratings']): number {
  if (comparison === 'between') return 0;
  const distances = ratingsOf({ comparison, value, ...demand }).flatMap((name) => {
    const own = ratings[name]?.value;
    return own === undefined || own === 0 || value === 0 ? [] : [Math.abs(Math.log(Math.abs(own / value)))];
  });
  return distances.length > 0 ? Math.min(...distances) : UNKNOWN;
}

/** Share of a rating that its limits leave. */
function shareOf(rating: RatingName, limits: readonly Limit[]): number {
  return Math.min(
    1,
    ...limits.flatMap((limit) => (limit.kind === 'derated' && limit.rating === rating ? [limit.share] : [])),
  );
}

function checkUse(use: Use, need: StockFilter): MatchCheck {
  const asked = need.uses?.includes(use) === true;
  return {
    outcome: asked ? 'fails' : 'fits-on-paper',
    text: `${USES[use].not}${asked ? `, and it is to stand ${USES[use].label}` : ''}`,
  };
}

/** Of several ratings that may meet a demand the one that does best. */
function checkDemand(demand: Demand, { ratings }: LotFacts, limits: readonly Limit[]): MatchCheck {
  const checks = ratingsOf(demand).flatMap((rating) => {
    const own = ratings[rating];
    return own ? [checkRating({ ...demand, rating }, own, shareOf(rating, limits))] : [];
  });
  const order = ['fits', 'fits-on-paper', 'fails'] as const;
  const best = order.flatMap((outcome) => checks.filter((check) => check.outcome === outcome))[0];
  if (best) return best;
  const { label } = RATINGS[demand.rating];
  return { rating: demand.rating, outcome: 'unknown', text: `${label} is not known; ${demandSaid(demand)} is asked` };
}

/** The value of a demand, with how far off it may be. */
export function demandSaid({ rating, value, upper, comparison, within }: Demand): string {
  const { unit } = RATINGS[rating];
  const asked = formatQuantity(value, unit);
  if (comparison === 'between') return `${asked} to ${formatQuantity(upper ?? value, unit)}`;
  return comparison === 'about' && within !== undefined ? `${asked} ± ${Math.round(100 * within)} %` : asked;
}

function checkRating(demand: Demand, rating: Evidenced, share: number): MatchCheck {
  const { label, unit, better } = RATINGS[demand.rating];
  const asked = demandSaid(demand);
  const range = demandedRange(demand);
  const shown = `${label} ${formatQuantity(rating.value, unit)}`;
  if (rating.value < range.low || rating.value > range.high)
    return { rating: demand.rating, outcome: 'fails', text: `${shown}, ${asked} is asked` };
  const lower = demand.comparison === 'at-most' || demand.comparison === 'below';
  if (demand.comparison === 'equal' || demand.comparison === 'about' || demand.comparison === 'between')
    return { rating: demand.rating, outcome: 'fits', text: `${shown} for ${asked}` };
  const doubtful = unit === 'volt' && better === 'higher' && isUncertain(rating);
  const usable = rating.value * Math.min(share, doubtful ? UNCERTAIN_DECODE.usableShare : 1);
  const margin = lower ? demand.value / usable : usable / demand.value;
  if (margin < 1 - 1e-9)
    return {
      rating: demand.rating,
      outcome: doubtful && usable === rating.value * UNCERTAIN_DECODE.usableShare ? 'fits-on-paper' : 'fails',
      margin,
      text: doubtful
        ? `${shown} rests on the marking alone: use it up to ${formatQuantity(usable, unit)} until a datasheet is read; ${asked} is asked`
        : `${shown}, but its grade lets it be used up to ${formatQuantity(usable, unit)}; ${asked} is asked`,
    };
  return {
    rating: demand.rating,
    outcome: 'fits',
    margin,
    text: `${shown} for ${asked}, ${timesOver(margin)}${usable === rating.value ? '' : doubtful && share === 1 ? ' at half its voltage' : ` at ${Math.round((100 * usable) / rating.value)} % of it`}`,
  };
}

/** Below this a demand is met with nothing to spare. */
const SPARE_FROM = 1.05;

/** How amply a demand is met: `1.6 times over`, or `with nothing to spare`. */
export function timesOver(margin: number): string {
  return margin < SPARE_FROM ? 'with nothing to spare' : `${margin.toFixed(margin < 10 ? 1 : 0)} times over`;
}

const GRADE_ORDER: readonly (Grade | null | undefined)[] = ['A', 'B', 'C', null];

/** What decides between lots that are as near to what is asked. */
export interface Standing {
  readonly grade?: Grade | null;
  readonly pieces?: number;
  /** When it was laid in; of electrolytics the younger is the better. */
  readonly createdMs?: number;
}

/** Lots that differ by less are as near. */
const AS_NEAR = 1e-6;

/** Nearest to what is asked first, over all demands together; then the better grade, the younger, the more pieces. */
export function compareFit(
  a: { readonly distance: number } & Standing,
  b: { readonly distance: number } & Standing,
): number {
  const apart = a.distance - b.distance;
  const gradeOf = ({ grade = null }: Standing) => GRADE_ORDER.indexOf(grade);
  return (
    (Math.abs(apart) < AS_NEAR ? 0 : apart) ||
    gradeOf(a) - gradeOf(b) ||
    (b.createdMs ?? 0) - (a.createdMs ?? 0) ||
    (b.pieces ?? 0) - (a.pieces ?? 0)
  );
}

/**
 * Best first: what fits, then what has enough for sure before what has it on paper only, then what is nearest to what is asked, so
 * that a strong part is kept for a strong need.
 */
export function compareMatches(a: LotMatch & Standing, b: LotMatch & Standing): number {
  const order = { fits: 0, limit: 1, unknown: 2, no: 3 } as const;
  const isShort = ({ margin = Infinity }: LotMatch) => (margin < 1 ? 1 : 0);
  return order[a.verdict] - order[b.verdict] || isShort(a) - isShort(b) || compareFit(a, b);
}
