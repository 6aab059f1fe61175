import { practice } from '../evidence';
import { combined, type CombinePart } from '../combine';
import { numberOf, technologyOf, type PartFacts, type PlaceFacts } from './judged';
import { judgeSwap, type Judgement } from './substitute';

/** Two parts in the place of one. */
export interface Combination {
  readonly way: 'series' | 'parallel';
  /** Places of the two in the list that was given; the same twice for two of one kind. */
  readonly of: readonly [number, number];
  /** What they come to, as the rules judge it; never better than with limits. */
  readonly judgement: Judgement;
  readonly drawbacks: readonly string[];
}

/** How near the pair must come to what failed, as a share; and how many are told. */
const NEAR = practice({ resistor: 0.05, capacitor: 0.2, film: 0.1, varistor: 0.12 });
const MOST_TOLD = 3;

/**
 * Pairs that come to what failed: resistors and capacitors in series and in parallel, two equal FETs in parallel, two equal
 * varistors in series. Safety capacitors, fuses and separate rectifiers are never combined: a class does not add up, and one of
 * two takes all. The nearest come first.
 * @param of.free pieces there are of each candidate
 */
export function combinations(
  { failed, place }: { readonly failed: PartFacts; readonly place: PlaceFacts },
  candidates: readonly { readonly facts: PartFacts; readonly free: number }[],
): readonly Combination[] {
  const found: (Combination & { readonly off: number })[] = [];
  for (const [a, one] of candidates.entries())
    for (const [b, other] of candidates.entries()) {
      if (b < a || (a === b ? one.free < 2 : one.free < 1 || other.free < 1)) continue;
      for (const way of ['parallel', 'series'] as const) {
        const pair = paired(way, failed, one.facts, other.facts, a === b);
        if (!pair) continue;
        const judgement = judgeSwap({ failed, place, candidate: pair.facts });
        if (judgement.verdict === 'no') continue;
        found.push({ way, of: [a, b], judgement: { ...judgement, verdict: 'limits' }, ...pair });
      }
    }
  return found
    .toSorted((x, y) => x.off - y.off)
    .slice(0, MOST_TOLD)
    .map(({ way, of, judgement, drawbacks }) => ({ way, of, judgement, drawbacks }));
}

interface Pair {
  readonly facts: PartFacts;
  readonly drawbacks: readonly string[];
  /** How far it is from what failed, as a share. */
  readonly off: number;
}

/** The rating by which a pair is held against what failed, and how near it must come. */
function measureOf(failed: PartFacts): { readonly key: string; readonly near: number } | undefined {
  switch (failed.kind) {
    case 'resistor':
      return { key: 'resistance', near: NEAR.resistor };
    case 'capacitor':
      return {
        key: 'capacitance',
        near: ['electrolytic', 'polymer'].includes(technologyOf(failed)) ? NEAR.capacitor : NEAR.film,
      };
    case 'nmos':
      return { key: 'rdsOn', near: Infinity };
    case 'varistor':
      return { key: numberOf(failed, 'vn') === undefined ? 'vac' : 'vn', near: NEAR.varistor };
    default:
      return undefined;
  }
}

const SAFETY = /^[xy]\d?$/u;

function paired(
  way: Combination['way'],
  failed: PartFacts,
  one: PartFacts,
  other: PartFacts,
  isSame: boolean,
): Pair | undefined {
  const measure = measureOf(failed);
  if (!measure || one.kind !== failed.kind || SAFETY.test(technologyOf(failed))) return undefined;
  const found = combined(way, [asPart(one), asPart(other)], isSame);
  const [want, is] = [numberOf(failed, measure.key), found?.ratings[measure.key]];
  if (!found || want === undefined || is === undefined || want <= 0) return undefined;
  // One FET that is good enough by itself needs no second.
  if (failed.kind === 'nmos' && (numberOf(one, 'rdsOn') ?? 0) <= want) return undefined;
  const off = Math.abs(is / want - 1);
  if (off > measure.near) return undefined;
  const { temperature, ...ratings } = found.ratings;
  return { facts: pairOf(one, { ...ratings, tmax: temperature }), drawbacks: found.drawbacks, off };
}

const asPart = (part: PartFacts): CombinePart => ({
  kind: part.kind,
  technology: technologyOf(part),
  ratings: {
    ...Object.fromEntries(Object.keys(part.ratings).map((name) => [name, numberOf(part, name)])),
    temperature: numberOf(part, 'tmax'),
  },
});

/** What is common to both, with the ratings that the pair has. A case of its own it has not. */
const pairOf = (one: PartFacts, ratings: Readonly<Record<string, number | undefined>>): PartFacts => ({
  kind: one.kind,
  ...(one.technology === undefined ? {} : { technology: one.technology }),
  ratings: Object.fromEntries(
    Object.entries({ ...one.ratings, ...ratings }).filter(
      (entry): entry is [string, number | string | boolean] => entry[1] !== undefined,
    ),
  ),
});
