import type { Deck, Measure } from './deck/deck';
import { solveInPlace } from './linear';
import { measureAll, type Measured } from './measures';
import { networkOf, type Network, type NetworkProblem } from './network';
import type { Phases } from './phase';
import { TICKS } from './ticks';
import { runNetwork, type Beginning, type Run } from './transient';

/** How a steady state was come by. */
export type SteadyWay = 'newton' | 'waited' | 'not settled';

/** A periodic state, and the run over one period of it. */
export interface Settled {
  readonly way: SteadyWay;
  /** Periods that were simulated for it. */
  readonly periods: number;
  /** How far the state was still off after one more period, as a share of its size. */
  readonly off: number;
  readonly run: Run;
  /** Where the period that was run lies, seconds. */
  readonly from: number;
  readonly to: number;
}

export interface Steady extends Omit<Settled, 'run' | 'from' | 'to'> {
  readonly measures: Readonly<Record<string, Measured>>;
  readonly unknown: Readonly<Record<string, string>>;
}

/** Periods run from the start before Newton begins. */
const WARM_UP = 3;
/** Steps of Newton in a round, rounds of it, and plain periods between two; then periods waited at most. */
const STEPS = 14;
const ROUNDS = 5;
const PLAIN = 40;
const MOST_PERIODS = 3000;
const SETTLED = 1e-8;
/** Where Newton would go may be so many times as far as a period leads. */
const CREEPS = 100;
/** Where a run for a steady state begins: pulses that reach over the end of a period are in it then. */
const FROM_PERIOD = 2;

/** The periodic steady state of a deck with its measures, each over one period. */
export function steadyState(
  deck: Deck,
  { period, measures = deck.measures }: { readonly period: number; readonly measures?: readonly Measure[] },
): Steady | NetworkProblem {
  const network = networkOf(deck);
  if ('kind' in network) return network;
  const settled = settlePeriod(network, { period });
  if ('kind' in settled) return settled;
  const { way, periods, off, run, to } = settled;
  const found: Record<string, Measured> = {};
  const unknown: Record<string, string> = {};
  const lasting = measures.filter(({ window }) => window.kind === 'last');
  const one = lasting.map((measure): Measure => ({ ...measure, window: { kind: 'last', periods: 1 } }));
  measureAll(network, run, one, { span: to, period }).forEach((value, index) => {
    const { text } = lasting[index]!;
    if ('unknown' in value) unknown[text] = value.unknown;
    else found[text] = value;
  });
  return { way, periods, off, measures: found, unknown };
}

/**
 * The periodic steady state: the state that one period leads back to, sought by Newton on the map of one period, whose slope is the
 * product of the propagators of its stretches. Where that does not come to an end, periods are simply run until it settles.
 * @param of.warmUp periods run before Newton begins; none where it begins near the end
 * @param of.mostPeriods periods after which it is given up; `of.mostEvents` changes of devices in one of them
 * @param of.within how far the state may be off after one more period, as a share of its size, where Newton finds it near as well
 * @param of.known phases of a search before, see `runNetwork`
 * @param of.on the devices that were on where a period began in a search nearby: nothing is run before Newton begins
 * @param of.isOver asked between periods; true ends the search with what was reached
 */
export function settlePeriod(
  network: Network,
  {
    period,
    warmUp = WARM_UP,
    mostPeriods = MOST_PERIODS,
    mostEvents = Infinity,
    within = SETTLED,
    known,
    on,
    isOver = () => false,
  }: {
    readonly period: number;
    readonly warmUp?: number;
    readonly mostPeriods?: number;
    readonly mostEvents?: number;
    readonly within?: number;
    readonly known?: Phases;
    readonly on?: readonly boolean[];
    readonly isOver?: () => boolean;
  },
): Settled | NetworkProblem {
  const from = FROM_PERIOD * period;
  let periods = 0;
  let begin: Beginning;
  if (on?.length === network.devices.length)
    begin = {
      seconds: from,
      state: network.start,
      on,
      ...(known?.serve(network, period / TICKS) ? { phases: known } : {}),
    };
  else {
    periods = warmUp + FROM_PERIOD;
    const warm = runNetwork(network, {
      span: periods * period,
      period,
      keepFrom: Infinity,
      stops: [],
      ...(known ? { known } : {}),
      mostEvents: periods * mostEvents,
    });
    if ('kind' in warm) return warm;
    if (warm.cut) return { way: 'not settled', periods, off: Infinity, run: warm, from: 0, to: warm.reached };
    begin = { seconds: from, state: warm.end, on: warm.on, phases: warm.phases };
  }
  const isLeft = () => periods < mostPeriods && !isOver();
  const once = (keep: boolean): Run | NetworkProblem => {
    periods += 1;
    return runNetwork(network, {
      span: from + period,
      period,
      keepFrom: keep ? from : Infinity,
      stops: [],
      begin,
      mostEvents,
    });
  };
  const next = (state: Float64Array, run: Run) => {
    begin = { seconds: from, state, on: run.on, phases: run.phases };
  };
  let way: SteadyWay = 'not settled';
  let off = Infinity;
  for (let round = 0; round < ROUNDS && isLeft(); round += 1) {
    let best: { readonly begin: Beginning; readonly off: number } | undefined;
    let stuck = 0;
    for (let step = 0; step < STEPS; step += 1) {
      const run = once(true);
      if ('kind' in run) return run;
      if (run.cut) return { way, periods, off, run, from, to: from + period };
      const before = off;
      off = distance(network, begin.state, run.end);
      if (off < SETTLED) return { way: 'newton', periods, off, run, from, to: from + period };
      if (isOver()) return { way, periods, off, run, from, to: from + period };
      if (!best || off < best.off) best = { begin, off };
      stuck = off > 0.5 * before ? stuck + 1 : 0;
      const solved = newton(network, begin.state, run);
      // What creeps is near after a period and far from where it goes: only where both are near does it repeat.
      if (solved && off < within && distance(network, begin.state, solved) < CREEPS * within)
        return { way: 'newton', periods, off, run, from, to: from + period };
      // A step that did not help is followed by a plain period, which brings the diodes into their order.
      const jumped = stuck % 2 === 1 ? undefined : solved;
      next(jumped ?? run.end, run);
    }
    // From the best of them the circuit goes its own way for a while, towards where Newton finds it.
    if (best) begin = best.begin;
    for (let plain = 0; plain < PLAIN && isLeft(); plain += 1) {
      const run = once(false);
      if ('kind' in run) return run;
      next(run.end, run);
    }
  }
  while (way === 'not settled' && isLeft()) {
    const run = once(false);
    if ('kind' in run) return run;
    off = distance(network, begin.state, run.end);
    next(run.end, run);
    if (off < SETTLED) way = 'waited';
  }
  const shown = once(true);
  if ('kind' in shown) return shown;
  return { way, periods, off, run: shown, from, to: from + period };
}

/** How far two states are apart in energy, as a share of the larger. */
function distance({ constant }: Network, one: Float64Array, other: Float64Array): number {
  let [apart, size] = [0, 0];
  for (let index = 0; index < constant; index += 1) {
    apart += (one[index]! - other[index]!) ** 2;
    size += other[index]! ** 2;
  }
  return Math.sqrt(apart / Math.max(size, 1e-30));
}

/** One step of Newton: x − (S − 1)⁻¹·(F(x) − x), with S the slope of a period. @returns undefined where S − 1 is singular */
function newton({ constant: n, size }: Network, state: Float64Array, run: Run): Float64Array | undefined {
  const slope = new Float64Array(n * n);
  const wrong = new Float64Array(n);
  let column = new Float64Array(size);
  let carried = new Float64Array(size);
  for (let index = 0; index < n; index += 1) {
    column.fill(0);
    column[index] = 1;
    for (const { phase, ticks } of run.stretches) {
      phase.advance(column, ticks, carried);
      [column, carried] = [carried, column];
    }
    for (let row = 0; row < n; row += 1) slope[row * n + index] = column[row]! - (row === index ? 1 : 0);
    wrong[index] = run.end[index]! - state[index]!;
  }
  if (solveInPlace(slope, n, wrong, 1) !== undefined) return undefined;
  const next = new Float64Array(size);
  for (let index = 0; index < n; index += 1) {
    next[index] = state[index]! - wrong[index]!;
    if (!Number.isFinite(next[index]!)) return undefined;
  }
  return next;
}
