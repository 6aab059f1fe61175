import { combined, SHARED, type Way } from '../../combine';
import type { Evidenced, Source } from '../../evidence';
import type { RatingName } from '../../part';
import type { Duty } from './duty';
import type { StockFilter } from '../filter';
import { isOfKind, matchLot, type LotFacts, type LotMatch } from '../matchLot';

/** A lot that may be put together with others. */
export interface CombineLot {
  readonly code: string;
  readonly facts: LotFacts;
  readonly free: number;
}

/** Parts of lots that meet a need together; never better than with limits. */
export interface LotCombination {
  readonly way: Way;
  readonly of: readonly { readonly code: string; readonly count: number }[];
  readonly sum: string;
  readonly drawbacks: readonly string[];
  readonly match: LotMatch;
}

/** Pieces of one lot that are put together at most, lots of which pairs are tried, and combinations that are told. */
const MOST_OF_ONE = 4;
const PAIRED = 60;
const TOLD = 4;

/**
 * Combinations of lots that meet a need which no lot meets alone: up to four pieces of one lot, or one of each of two lots, in series
 * or in parallel. The fewest parts with the most room come first; the search is bounded, the same stock gives the same answer.
 */
export function combineLots(need: StockFilter, lots: readonly CombineLot[]): readonly LotCombination[] {
  const kind = need.kind;
  if (!kind) return [];
  // What is wanted of the whole says nothing of the case of one part.
  const { packages: _, ...asked } = need;
  // What meets the need alone is not put together.
  const of = lots.filter(
    ({ facts, free }) =>
      free > 0 && facts.grade !== 'reject' && isOfKind(kind, facts) && matchLot(asked, facts).verdict !== 'fits',
  );
  const found: LotCombination[] = [];
  const weigh = (way: Way, parts: readonly (readonly [CombineLot, number])[]) => {
    const all = parts.flatMap(([lot, count]) => Array.from({ length: count }, () => lot));
    const isAlike = parts.length === 1;
    const whole = combined(way, all.map(asPart), isAlike);
    const [first] = all;
    if (!whole || !first) return;
    // What its test keeps from standing beside its like is kept from it.
    const placed: StockFilter =
      way === 'parallel' && isAlike ? { ...asked, uses: [...(asked.uses ?? []), 'parallel'] } : asked;
    const match = matchWhole(placed, way, all, whole.ratings);
    if (match.verdict === 'no') return;
    found.push({
      way,
      of: parts.map(([{ code }, count]) => ({ code, count })),
      sum: whole.sum,
      drawbacks: whole.drawbacks,
      match: { ...match, verdict: match.verdict === 'unknown' ? 'unknown' : 'limit' },
    });
  };
  for (const lot of of)
    for (let count = 2; count <= Math.min(MOST_OF_ONE, lot.free); count += 1)
      for (const way of ['parallel', 'series'] as const) weigh(way, [[lot, count]]);
  const pairs = of.slice(0, PAIRED);
  for (const [place, one] of pairs.entries())
    for (const other of pairs.slice(place + 1))
      for (const way of ['parallel', 'series'] as const)
        weigh(way, [
          [one, 1],
          [other, 1],
        ]);
  const pieces = ({ of: parts }: LotCombination) => parts.reduce((sum, { count }) => sum + count, 0);
  const isShort = ({ match: { margin = Infinity, verdict } }: LotCombination) =>
    (margin < 1 ? 1 : 0) + (verdict === 'unknown' ? 1 : 0);
  return found
    .toSorted(
      (a, b) =>
        isShort(a) - isShort(b) ||
        pieces(a) - pieces(b) ||
        a.match.distance - b.match.distance ||
        (b.match.margin ?? 0) - (a.match.margin ?? 0),
    )
    .slice(0, TOLD);
}

const asPart = ({ facts }: CombineLot) => ({
  kind: facts.kind,
  technology: facts.technology ?? facts.subtype ?? '',
  ratings: Object.fromEntries(Object.entries(facts.ratings).map(([name, one]) => [name, one.value])),
});

const WITH_A_CASE: ReadonlySet<string> = new Set(['nmos', 'pmos', 'diode', 'dual-diode']);

/** Holds the whole against a need. Of FETs and rectifiers, which have a case of their own each, one is held against its share. */
function matchWhole(
  need: StockFilter,
  way: Way,
  lots: readonly CombineLot[],
  ratings: Readonly<Record<string, number | undefined>>,
): LotMatch {
  const whole = withRatings(lots, ratings);
  const [first] = lots;
  const { duty, ...asked } = need;
  if (!duty || !first || way !== 'parallel' || !WITH_A_CASE.has(whole.kind)) return matchLot(need, whole);
  const together = matchLot(asked, whole);
  const one = matchLot({ ...asked, demands: [], duty: shareOf(duty, first.facts.kind, lots.length) }, first.facts);
  const margins = [together.margin, one.margin].filter((margin) => margin !== undefined);
  return {
    verdict: [together, one].some(({ verdict }) => verdict === 'no')
      ? 'no'
      : [together, one].some(({ verdict }) => verdict === 'unknown')
        ? 'unknown'
        : 'limit',
    ...(margins.length > 0 ? { margin: Math.min(...margins) } : {}),
    distance: together.distance,
    checks: [...together.checks, ...one.checks.map((check) => ({ ...check, text: `each: ${check.text}` }))],
  };
}

/** What the one that takes most carries of a duty. */
function shareOf({ current, pulse, ...duty }: Duty, kind: string, count: number): Duty {
  const share = 1 / (count * (kind === 'nmos' || kind === 'pmos' ? SHARED.fets : SHARED.rectifiers));
  return {
    ...duty,
    ...(current === undefined ? {} : { current: current * share }),
    ...(pulse === undefined ? {} : { pulse: pulse * share }),
  };
}

/** The parts as one: what changes is worked out, so that it is no better known than the worst of what it comes from. */
function withRatings(lots: readonly CombineLot[], ratings: Readonly<Record<string, number | undefined>>): LotFacts {
  const [first] = lots;
  const facts = first?.facts as LotFacts;
  const all: Partial<Record<RatingName, Evidenced>> = { ...facts.ratings };
  for (const [name, value] of Object.entries(ratings)) {
    const rating = name as RatingName;
    if (value === undefined) delete all[rating];
    else all[rating] = { value, source: worstSource(lots, rating) };
  }
  const { package: _, ...rest } = facts;
  return { ...rest, package: null, ratings: all, limits: lots.flatMap((lot) => lot.facts.limits ?? []) };
}

const SURE: readonly Source[] = ['measured', 'datasheet'];

function worstSource(lots: readonly CombineLot[], rating: RatingName): Source {
  const sources = lots.flatMap(({ facts }) => facts.ratings[rating]?.source ?? []);
  return sources.find((source) => !SURE.includes(source)) ?? sources[0] ?? 'typed';
}
