import { UNCERTAIN_DECODE, isUncertain, type Evidenced } from '../evidence';
import { USES, type Grade, type Limit, type Use } from '../measure';
import { kindsServing, RATINGS, type KindName, type RatingName } from '../part';
import { formatQuantity } from '../quantity';
import { checkPlace } from './checkPlace';
import type { MatchCheck } from './matchCheck';
import { demandedRange, type Demand, type StockFilter } from './parseFilter';

/** What a match needs to know of a lot. */
export interface LotFacts {
  readonly kind: KindName;
  readonly subtype?: string | null;
  readonly grade: Grade | null;
  readonly ratings: Partial<Record<RatingName, Evidenced>>;
  /** What its grade keeps it from. */
  readonly limits?: readonly Limit[];
}

export interface LotMatch {
  readonly verdict: 'fits' | 'limit' | 'unknown' | 'no';
  /** Smallest margin over all demands. */
  readonly margin?: number;
  readonly checks: readonly MatchCheck[];
}

const GRADE_ORDER = ['A', 'B', 'C'] as const;

/**
 * Holds a lot against the demands of a need. A voltage that rests on a doubtful decode counts at
 * half until a datasheet confirms it, so such a lot fits on paper only. Limits travel with the lot: a derated
 * rating counts at its share, a use that is forbidden does not fit, and a forbidden use that was not asked about is
 * told; across the barrier and the mains only parts of the class made for it fit. Demands are taken as written: the person has put their own margin in.
 */
export function matchLot(need: StockFilter, lot: LotFacts): LotMatch {
  if (need.kind && !kindsServing(need.kind).includes(lot.kind)) return { verdict: 'no', checks: [] };
  if (need.grade && !GRADE_ORDER.slice(0, GRADE_ORDER.indexOf(need.grade) + 1).some((grade) => grade === lot.grade))
    return { verdict: 'no', checks: [] };
  const limits = lot.limits ?? [];
  const checks = [
    ...need.demands.map((demand) => checkDemand(demand, lot.ratings[demand.rating], shareOf(demand.rating, limits))),
    ...(need.uses ?? []).flatMap((use) => checkPlace(use, lot) ?? []),
    ...limits.flatMap((limit) => (limit.kind === 'not-for' ? [checkUse(limit.use, need)] : [])),
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
  return { verdict, ...(margins.length ? { margin: Math.min(...margins) } : {}), checks };
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

function checkDemand(demand: Demand, rating: Evidenced | undefined, share: number): MatchCheck {
  const { label, unit, better } = RATINGS[demand.rating];
  const asked = formatQuantity(demand.value, unit);
  if (!rating) return { rating: demand.rating, outcome: 'unknown', text: `${label} is not known; ${asked} is asked` };
  const range = demandedRange(demand);
  const shown = `${label} ${formatQuantity(rating.value, unit)}`;
  if (rating.value < range.low || rating.value > range.high)
    return { rating: demand.rating, outcome: 'fails', text: `${shown}, ${asked} is asked` };
  const lower = demand.comparison === 'at-most' || demand.comparison === 'below';
  if (demand.comparison === 'equal' || demand.comparison === 'near' || demand.comparison === 'between')
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

/**
 * Best first: what fits, then what has enough for sure before what has it on paper only, then the tightest margin, so
 * that a strong part is kept for a strong need.
 */
export function compareMatches(a: LotMatch, b: LotMatch): number {
  const order = { fits: 0, limit: 1, unknown: 2, no: 3 } as const;
  const isShort = ({ margin = Infinity }: LotMatch) => (margin < 1 ? 1 : 0);
  return (
    order[a.verdict] - order[b.verdict] || isShort(a) - isShort(b) || (a.margin ?? Infinity) - (b.margin ?? Infinity)
  );
}
