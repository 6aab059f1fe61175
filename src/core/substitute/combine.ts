import { practice } from '../evidence';
import { numberOf, shown, technologyOf, type PartFacts, type PlaceFacts } from './judged';
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
/** Two in series share a voltage so unevenly, and two FETs a current, that they count for so much of their sum. */
const SHARE = practice(0.8);

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

function paired(
  way: Combination['way'],
  failed: PartFacts,
  one: PartFacts,
  other: PartFacts,
  isSame: boolean,
): Pair | undefined {
  if (one.kind !== failed.kind || other.kind !== failed.kind) return undefined;
  switch (failed.kind) {
    case 'resistor':
      return resistors(way, failed, one, other);
    case 'capacitor':
      return capacitors(way, failed, one, other, isSame);
    case 'nmos':
      return way === 'parallel' && isSame ? fets(failed, one) : undefined;
    case 'varistor':
      return way === 'series' && isSame ? varistors(failed, one) : undefined;
    default:
      return undefined;
  }
}

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
const least = (a: number | undefined, b: number | undefined) =>
  a === undefined || b === undefined ? undefined : Math.min(a, b);
const added = (a: number | undefined, b: number | undefined) =>
  a === undefined || b === undefined ? undefined : a + b;
const beside = (a: number, b: number) => (a * b) / (a + b);

function resistors(way: Combination['way'], failed: PartFacts, one: PartFacts, other: PartFacts): Pair | undefined {
  const [want, a, b] = [failed, one, other].map((part) => numberOf(part, 'resistance'));
  if (want === undefined || a === undefined || b === undefined || want <= 0) return undefined;
  const ohms = way === 'series' ? a + b : beside(a, b);
  const off = Math.abs(ohms / want - 1);
  if (off > NEAR.resistor) return undefined;
  // Of the heat each takes its share: in series as its ohms are, in parallel as they are not.
  const [shareA, shareB] = way === 'series' ? [a / ohms, b / ohms] : [ohms / a, ohms / b];
  const [powerA, powerB] = [numberOf(one, 'power'), numberOf(other, 'power')];
  const power = powerA === undefined || powerB === undefined ? undefined : Math.min(powerA / shareA, powerB / shareB);
  const [voltA, voltB] = [numberOf(one, 'voltage'), numberOf(other, 'voltage')];
  const volts =
    way === 'parallel'
      ? least(voltA, voltB)
      : voltA === undefined || voltB === undefined
        ? undefined
        : Math.min(voltA / shareA, voltB / shareB);
  return {
    facts: pairOf(one, { resistance: ohms, power, voltage: volts }),
    off,
    drawbacks: [
      `${shown(ohms, 'ohm')} together; ${Math.round(100 * Math.max(shareA, shareB))} % of the heat is in one of them.`,
      way === 'series' ? 'A joint in the air between them: sleeve it.' : 'Two sets of leads in one pair of holes.',
    ],
  };
}

const CLASSED = /^[xy]\d?$/u;

function capacitors(
  way: Combination['way'],
  failed: PartFacts,
  one: PartFacts,
  other: PartFacts,
  isSame: boolean,
): Pair | undefined {
  if (CLASSED.test(technologyOf(failed)) || [one, other].some((part) => CLASSED.test(technologyOf(part))))
    return undefined;
  if (technologyOf(one) !== technologyOf(other)) return undefined;
  const [want, a, b] = [failed, one, other].map((part) => numberOf(part, 'capacitance'));
  if (want === undefined || a === undefined || b === undefined || want <= 0) return undefined;
  const isCan = technologyOf(one) === 'electrolytic' || technologyOf(one) === 'polymer';
  const farads = way === 'parallel' ? a + b : beside(a, b);
  const off = Math.abs(farads / want - 1);
  if (off > (isCan ? NEAR.capacitor : NEAR.film)) return undefined;
  const [voltA, voltB] = [numberOf(one, 'voltage'), numberOf(other, 'voltage')];
  if (way === 'parallel') {
    const [esrA, esrB] = [numberOf(one, 'esr'), numberOf(other, 'esr')];
    return {
      facts: pairOf(one, {
        capacitance: farads,
        voltage: least(voltA, voltB),
        tmax: least(numberOf(one, 'tmax'), numberOf(other, 'tmax')),
        ripple: added(numberOf(one, 'ripple'), numberOf(other, 'ripple')),
        esr: esrA === undefined || esrB === undefined ? undefined : beside(esrA, esrB),
      }),
      off,
      drawbacks: [
        `${shown(farads, 'farad')} together; the lower voltage of the two counts.`,
        'They share ripple as their impedances tell: alike in kind and age, with leads of one length.',
      ],
    };
  }
  // Unlike cans in a row share the voltage as their leakage does: only two of one lot.
  if (!isSame || voltA === undefined) return undefined;
  const put = 2 * SHARE * voltA;
  // R = (2·Vm − Vb)/(0.0015·C·Vb) MΩ with C in µF: guide for aluminium electrolytics, from memory.
  const balance = ((2 * voltA - put) / (0.0015 * a * 1e6 * put)) * 1e6;
  return {
    facts: pairOf(one, { capacitance: farads, voltage: put, esr: added(numberOf(one, 'esr'), numberOf(other, 'esr')) }),
    off,
    drawbacks: [
      ...(isCan ? [`A resistor of ${shown(balance, 'ohm')} at most across each, to share the voltage evenly.`] : []),
      'Each one holds charge by itself: read both before you touch them.',
    ],
  };
}

function fets(failed: PartFacts, one: PartFacts): Pair | undefined {
  const [want, ohms, amperes, charge] = [
    numberOf(failed, 'rdsOn'),
    numberOf(one, 'rdsOn'),
    numberOf(one, 'id'),
    numberOf(one, 'qg'),
  ];
  if (want === undefined || ohms === undefined || ohms <= want) return undefined;
  return {
    facts: pairOf(one, {
      rdsOn: ohms / 2,
      id: amperes === undefined ? undefined : 2 * SHARE * amperes,
      qg: charge === undefined ? undefined : 2 * charge,
    }),
    off: Math.abs(ohms / 2 / want - 1),
    drawbacks: [
      'Each with its own gate resistor of 2.2 to 10 Ω, close to its gate; matched within 20 %.',
      'Twice the gate charge for the same driver. Never where the FET works as a resistor.',
    ],
  };
}

function varistors(failed: PartFacts, one: PartFacts): Pair | undefined {
  const key = numberOf(failed, 'vn') === undefined ? 'vac' : 'vn';
  const [want, volts] = [numberOf(failed, key), numberOf(one, key)];
  if (want === undefined || volts === undefined) return undefined;
  const off = Math.abs((2 * volts) / want - 1);
  if (off > NEAR.varistor) return undefined;
  const [vn, vac] = [numberOf(one, 'vn'), numberOf(one, 'vac')];
  return {
    facts: pairOf(one, {
      vn: vn === undefined ? undefined : 2 * vn,
      vac: vac === undefined ? undefined : 2 * vac,
    }),
    off,
    drawbacks: ['Same type and disc; they take no more energy than the smaller one.'],
  };
}
