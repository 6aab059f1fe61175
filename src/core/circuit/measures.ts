import { cubic, turningPoint } from './cubic';
import type { Measure, Signal } from './deck/deck';
import type { Network } from './network';
import type { Phase } from './phase';
import { readerOf, type Reader, type SignalProblem } from './signals';
import { powerBelow, TICKS } from './ticks';
import type { Run, Stretch } from './transient';

/** A value with its unit. */
export interface Measured {
  readonly value: number;
  readonly unit: 'V' | 'A' | 'W';
}

/** Halvings of a stretch before a cubic is taken for what it is. */
const DEEPEST = 18;
/** A cubic may be off by so much of the signal’s range in its middle. */
const CLOSE = 2e-5;
/** After a change of a device the first of a period is left out of extremes: leaks settle in it. */
const SETTLING_TICKS = TICKS / 2 ** 22;
/** Inner points of Lobatto’s rule with five: exact to the seventh power, and a cubic squared is of the sixth. */
const LOBATTO = Math.sqrt(3 / 7) / 2;

/** The span of time that a measure looks at, seconds; a moment has no length. */
export function windowOf(
  { window }: Measure,
  { span, period }: { readonly span: number; readonly period: number },
): readonly [from: number, to: number] {
  if (window.kind === 'span') return [window.from, window.to];
  return window.kind === 'moment' ? [window.at, window.at] : [span - window.periods * period, span];
}

/** What one measure gathers over its window. */
interface Sums {
  readonly reader: Reader;
  /** Of a power: the current that goes with the volts of the reader. */
  readonly factor?: Reader;
  seconds: number;
  sum: number;
  squares: number;
  high: number;
  low: number;
  close: number;
}

/** Works measures out of the stretches of a run; those of one window together, so that the run is carried through once. */
export function measureAll(
  network: Network,
  run: Run,
  measures: readonly Measure[],
  frame: { readonly span: number; readonly period: number },
  /** How near a cubic must come, as a share of the range of each signal. */
  closeness = CLOSE,
): readonly (Measured | SignalProblem)[] {
  const found: (Measured | SignalProblem)[] = measures.map(() => ({ unknown: '' }));
  const groups = new Map<string, number[]>();
  measures.forEach((measure, index) => {
    const key = measure.op === 'at' ? `at ${index}` : windowOf(measure, frame).join(' ');
    groups.set(key, [...(groups.get(key) ?? []), index]);
  });
  for (const indices of groups.values()) {
    const known = indices.flatMap((index) => {
      const measure = measures[index]!;
      const readers = readersOf(network, measure.signal);
      if ('reader' in readers) return [{ index, measure, readers }];
      found[index] = readers;
      return [];
    });
    const [first] = known;
    if (!first) continue;
    const [from, to] = windowOf(first.measure, frame);
    const isMoment = first.measure.op === 'at';
    const sums = isMoment
      ? []
      : gather(
          run,
          known.map(({ readers }) => readers),
          from,
          to,
          closeness,
        );
    known.forEach(({ index, measure, readers }, place) => {
      const value = isMoment ? valueAt(run, readers, from) : valueOf(measure.op, sums[place]);
      found[index] = { value, unit: UNITS[measure.signal.kind] };
    });
  }
  return found;
}

const UNITS = { volts: 'V', amperes: 'A', magnetising: 'A', watts: 'W' } as const;

/** What reads a signal: one sum over the state, or for a power the two that it is the product of. */
interface Readers {
  readonly reader: Reader;
  readonly factor?: Reader;
}

function readersOf(network: Network, signal: Signal): Readers | SignalProblem {
  if (signal.kind !== 'watts') {
    const reader = readerOf(network, signal);
    return typeof reader === 'function' ? { reader } : reader;
  }
  const reader = readerOf(network, { kind: 'across', element: signal.element });
  const factor = readerOf(network, { kind: 'amperes', element: signal.element });
  if (typeof reader !== 'function') return reader;
  return typeof factor === 'function' ? { reader, factor } : factor;
}

function valueOf(op: Measure['op'], sums: Sums | undefined): number {
  if (!sums || op === 'at') return NaN;
  const { seconds, sum, squares, high, low } = sums;
  return { avg: sum / seconds, rms: Math.sqrt(squares / seconds), pp: high - low, max: high, min: low }[op];
}

function gather(run: Run, all: readonly Readers[], from: number, to: number, closeness: number): readonly Sums[] {
  const [first, last] = [Math.round(from / run.tick), Math.round(to / run.tick)];
  const stretches = run.stretches.filter((one) => one.from >= first && one.from + one.ticks <= last);
  const ends = stretches.map(endsOf);
  const sums = all.map(({ reader, factor }): Sums => ({
    reader,
    ...(factor ? { factor } : {}),
    seconds: 0,
    sum: 0,
    squares: 0,
    high: -Infinity,
    low: Infinity,
    close: closeness * rangeOf(ends, reader),
  }));
  for (const stretch of stretches) gatherStretch(stretch, sums, run.tick);
  return sums;
}

function dot(row: Float64Array, z: Float64Array): number {
  let sum = 0;
  for (let index = 0; index < z.length; index += 1) sum += row[index]! * z[index]!;
  return sum;
}

/** Volts or amperes that no range is looked at more closely than; nothing of this trade hangs on less. */
const LEAST_RANGE = 1e-7;

/** What rounding of the terms of a sum may come to, with room. */
const NOISE = 1e-14;

function sizeOf(terms: Float64Array, z: Float64Array): number {
  let sum = 0;
  for (let index = 0; index < z.length; index += 1) sum += terms[index]! * Math.abs(z[index]!);
  return sum;
}

/** Where a stretch begins, once leaks have settled in it, and where it ends. */
interface Ends {
  readonly phase: Phase;
  readonly begin: Float64Array;
  readonly end: Float64Array;
}

function endsOf({ phase, z, end, ticks, isFresh }: Stretch): Ends {
  if (!isFresh) return { phase, begin: z, end };
  const begin = new Float64Array(z.length);
  phase.advance(z, Math.min(ticks, SETTLING_TICKS), begin);
  return { phase, begin, end };
}

/** The range of a signal at the beginnings and ends of stretches. */
function rangeOf(ends: readonly Ends[], reader: Reader): number {
  let [high, low] = [-Infinity, Infinity];
  for (const { phase, begin, end } of ends) {
    const { row } = reader(phase);
    const [first, last] = [dot(row, begin), dot(row, end)];
    high = Math.max(high, first, last);
    low = Math.min(low, first, last);
  }
  if (!Number.isFinite(high)) return 1;
  return Math.max(high - low, 1e-9 * Math.max(Math.abs(high), Math.abs(low)), LEAST_RANGE);
}

function valueAt(run: Run, { reader, factor }: Readers, seconds: number): number {
  const at = Math.round(seconds / run.tick);
  const stretch = run.stretches.find((one) => one.from <= at && at <= one.from + one.ticks);
  if (!stretch) return NaN;
  const z = new Float64Array(stretch.z.length);
  stretch.phase.advance(stretch.z, at - stretch.from, z);
  const value = dot(reader(stretch.phase).row, z);
  return factor ? value * dot(factor(stretch.phase).row, z) : value;
}

/** Adds a piece that a cubic describes: its ends, their rates times its length, and its seconds. */
function add(sums: Sums, y0: number, y1: number, a: number, b: number, seconds: number): void {
  const middle = cubic(0.5, y0, y1, a, b);
  const one = cubic(0.5 - LOBATTO, y0, y1, a, b);
  const other = cubic(0.5 + LOBATTO, y0, y1, a, b);
  sums.seconds += seconds;
  sums.sum += (seconds / 6) * (y0 + 4 * middle + y1);
  sums.squares +=
    seconds * (0.05 * (y0 * y0 + y1 * y1) + (49 / 180) * (one * one + other * other) + (16 / 45) * middle * middle);
  sums.high = Math.max(sums.high, y0, y1);
  sums.low = Math.min(sums.low, y0, y1);
  if (a * b >= 0) return;
  const turn = turningPoint(y0, y1, a, b);
  if (turn === undefined) return;
  sums.high = Math.max(sums.high, turn);
  sums.low = Math.min(sums.low, turn);
}

/** Adds a piece of a power, the product of two cubics, by the same five points. */
function addProduct(
  sums: Sums,
  volts: readonly [y0: number, y1: number, a: number, b: number],
  amperes: readonly [y0: number, y1: number, a: number, b: number],
  seconds: number,
): void {
  const at = (share: number) => cubic(share, ...volts) * cubic(share, ...amperes);
  const [first, one, middle, other, last] = [0, 0.5 - LOBATTO, 0.5, 0.5 + LOBATTO, 1].map(at) as [
    number,
    number,
    number,
    number,
    number,
  ];
  sums.seconds += seconds;
  sums.sum += seconds * (0.05 * (first + last) + (49 / 180) * (one + other) + (16 / 45) * middle);
  sums.squares +=
    seconds * (0.05 * (first ** 2 + last ** 2) + (49 / 180) * (one ** 2 + other ** 2) + (16 / 45) * middle ** 2);
  sums.high = Math.max(sums.high, first, one, middle, other, last);
  sums.low = Math.min(sums.low, first, one, middle, other, last);
}

/** Cuts a stretch until a cubic holds for every signal in each piece. */
function gatherStretch({ phase, z, end, ticks, isFresh }: Stretch, sums: readonly Sums[], tick: number): void {
  // Every signal, and behind them the currents of those that are powers.
  const factors = sums.flatMap((one, index) => (one.factor ? [{ index, reader: one.factor }] : []));
  const rows = [...sums.map(({ reader }) => reader(phase)), ...factors.map(({ reader }) => reader(phase))];
  const own = sums.length;
  const count = rows.length;
  const close = sums.map((one, index) => Math.max(one.close, NOISE * sizeOf(rows[index]!.terms, z)));
  const blur = rows.map(({ rateTerms }) => NOISE * sizeOf(rateTerms, z));
  const factorOf = new Map(factors.map(({ index }, place) => [index, own + place]));
  /** Values and rates of signals at a state; those of the others stay at nothing. */
  const looked = (state: Float64Array, wanted: readonly number[]): Float64Array => {
    const values = new Float64Array(2 * count);
    const look = (index: number) => {
      values[index] = dot(rows[index]!.row, state);
      values[count + index] = dot(rows[index]!.rate, state);
    };
    for (const index of wanted) {
      look(index);
      const factor = factorOf.get(index);
      if (factor !== undefined) look(factor);
    }
    return values;
  };
  /** Ends of a piece with their rates over it; where rounding has eaten these, those of the chord. */
  const pieceOf = (one: Float64Array, other: Float64Array, seconds: number, index: number) => {
    const [y0, y1] = [one[index]!, other[index]!];
    if (blur[index]! * seconds > close[index < own ? index : 0]!) return [y0, y1, y1 - y0, y1 - y0] as const;
    return [y0, y1, one[count + index]! * seconds, other[count + index]! * seconds] as const;
  };
  const take = (index: number, one: Float64Array, other: Float64Array, seconds: number) => {
    const factor = factorOf.get(index);
    const piece = pieceOf(one, other, seconds, index);
    if (factor === undefined) add(sums[index]!, ...piece, seconds);
    else addProduct(sums[index]!, piece, pieceOf(one, other, seconds, factor), seconds);
  };
  /** Signals that a cubic describes are done with; only the others are looked at more closely. */
  const cut = (
    wanted: readonly number[],
    from: Float64Array,
    y0: Float64Array,
    y1: Float64Array,
    length: number,
    depth: number,
  ): void => {
    const seconds = length * tick;
    if (depth >= DEEPEST || length <= 2) {
      for (const index of wanted) take(index, y0, y1, seconds);
      return;
    }
    // A power of two is carried over in one go.
    const part = powerBelow(length);
    const middle = new Float64Array(from.length);
    phase.advance(from, part, middle);
    const y = looked(middle, wanted);
    const share = part / length;
    const left: number[] = [];
    for (const index of wanted) {
      if (Math.abs(cubic(share, ...pieceOf(y0, y1, seconds, index)) - y[index]!) > close[index]!) {
        left.push(index);
        continue;
      }
      take(index, y0, y, part * tick);
      take(index, y, y1, (length - part) * tick);
    }
    if (left.length === 0) return;
    cut(left, from, y0, y, part, depth + 1);
    cut(left, middle, y, y1, length - part, depth + 1);
  };
  const settling = isFresh ? Math.min(ticks, SETTLING_TICKS) : 0;
  let from = z;
  if (settling > 0) {
    // Leaks settle in it: it counts as what it has come to.
    from = new Float64Array(z.length);
    phase.advance(z, settling, from);
    const seconds = settling * tick;
    for (const one of sums) {
      const value = dot(one.reader(phase).row, from) * (one.factor ? dot(one.factor(phase).row, from) : 1);
      one.seconds += seconds;
      one.sum += seconds * value;
      one.squares += seconds * value * value;
    }
  }
  const every = sums.map((_, index) => index);
  if (ticks > settling) cut(every, from, looked(from, every), looked(end, every), ticks - settling, 0);
}
