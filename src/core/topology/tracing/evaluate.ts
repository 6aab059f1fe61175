import { splitPin, type Board } from '../../board';
import { analyse, type Analysis } from '../analyse';
import { areJoined, probesFrom, withAnswer } from '../probe/nextProbes';
import type { Sizes } from '../partial/score';
import { factsOf, tracedSoFar } from './order';
import { Random } from './random';

/** What is known to be true of a board: its stages by topology and magnetic parts. */
export interface TrueStages {
  readonly stages: readonly { readonly topology: string; readonly magnetics: readonly string[] }[];
}

export interface KnownBoard {
  readonly board: Board;
  readonly truth: TrueStages;
}

/** Shares of facts at which a board is judged while it is traced. */
export const TRACED_SHARES = [0.1, 0.25, 0.5, 0.75] as const;
/** A board is known when every true stage is claimed at this or more. */
const KNOWN_AT = 0.9;

const sorted = (list: readonly string[]) => list.toSorted().join(' ');

export const hasRightTopologies = ({ likeliest }: Analysis, { stages }: TrueStages): boolean =>
  sorted(likeliest) === sorted(stages.map(({ topology }) => topology));

const isTrue = (claim: { readonly topology: string; readonly magnetics: readonly string[] }, { stages }: TrueStages) =>
  stages.some(
    ({ topology, magnetics }) =>
      topology === claim.topology && (magnetics.length === 0 || magnetics.some((ref) => claim.magnetics.includes(ref))),
  );

const isKnown = ({ hypotheses }: Analysis, truth: TrueStages) =>
  truth.stages.every((stage) =>
    hypotheses.some((claim) => claim.probability >= KNOWN_AT && isTrue(claim, { stages: [stage] })),
  );

/** Claims of ten bins of probability, and how many of each are true. */
export class Calibration {
  readonly bins = Array.from({ length: 10 }, () => ({ claims: 0, right: 0 }));
  add({ hypotheses }: Analysis, truth: TrueStages): void {
    for (const claim of hypotheses) {
      const bin = this.bins[Math.min(9, Math.floor(claim.probability * 10))];
      if (!bin) continue;
      bin.claims += 1;
      if (isTrue(claim, truth)) bin.right += 1;
    }
  }
  table() {
    return this.bins.map(({ claims, right }, index) => ({
      from: index / 10,
      to: (index + 1) / 10,
      claims,
      right: claims === 0 ? null : Math.round((1000 * right) / claims) / 1000,
    }));
  }
}

/** Whether the likeliest topologies are right at each share of the facts, traced in an order. */
export function rightWhileTraced(
  { board, truth }: KnownBoard,
  order: 'power' | 'random',
  seed: number,
  calibration: Calibration,
): readonly boolean[] {
  const facts = factsOf(board, order, new Random(seed));
  return TRACED_SHARES.map((share) => {
    const analysis = analyse(tracedSoFar(board, facts.slice(0, Math.round(facts.length * share))));
    calibration.add(analysis, truth);
    return hasRightTopologies(analysis, truth);
  });
}

/** Probes are counted up to this. */
export const MOST_PROBES = 300;

/**
 * Number of probes, each answered from the whole board, until every true stage is claimed at 0.9, following the advice: of
 * two pins each, or with one lead kept and some pins touched.
 */
export function probesWithAdvice(
  { board, truth }: KnownBoard,
  most = MOST_PROBES,
  { sizes, isLeadKept = false }: { readonly sizes?: Sizes; readonly isLeadKept?: boolean } = {},
): number {
  let known = tracedSoFar(board, []);
  for (let count = 0; count < most; count += 1) {
    const analysis = analyse(known, sizes);
    if (isKnown(analysis, truth)) return count;
    const [probe] = probesFrom(analysis.recognition, 1, sizes).probes;
    if (!probe) return most;
    const pairs = isLeadKept
      ? probe.sweep.pins.map((pin) => [probe.sweep.hold, pin] as const)
      : [[probe.a, probe.b] as const];
    for (const [a, b] of pairs) known = withAnswer(known, a, b, areJoined(board, a, b));
  }
  return most;
}

/** The same, probing pairs of pins of power parts in a random order; looked at every tenth part more, to save time. */
export function probesAtRandom({ board, truth }: KnownBoard, seed: number): number {
  const pins = board.parts
    .filter(({ kind }) => kind !== 'resistor' && kind !== 'varistor' && kind !== 'fuse')
    .flatMap(({ ref, pins: own }) => Object.keys(own).map((pin) => `${ref}.${pin}`));
  const pairs = pins.flatMap((a, index) =>
    pins.slice(index + 1).flatMap((b) => (splitPin(a)[0] === splitPin(b)[0] ? [] : [[a, b] as const])),
  );
  const order = new Random(seed).shuffled(pairs);
  let known = tracedSoFar(board, []);
  let count = 0;
  while (count < order.length) {
    if (isKnown(analyse(known), truth)) return count;
    const next = Math.max(count + 1, Math.ceil(count * 1.1));
    for (const [a, b] of order.slice(count, next)) known = withAnswer(known, a, b, areJoined(board, a, b));
    count = next;
  }
  return order.length;
}
