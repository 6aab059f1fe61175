import type { Measure, Signal } from './deck/deck';
import { gather, type Readers, type Sums } from './gather';
import type { Network } from './network';
import { readerOf, type SignalProblem } from './signals';
import type { Run, Stretch } from './transient';

/** A value with its unit. */
export interface Measured {
  readonly value: number;
  readonly unit: 'V' | 'A' | 'W';
}

/** A cubic may be off by so much of the signal’s range in its middle. */
const CLOSE = 2e-5;

/** The span of time that a measure looks at, seconds; a moment has no length. */
export function windowOf(
  { window }: Measure,
  { span, period }: { readonly span: number; readonly period: number },
): readonly [from: number, to: number] {
  if (window.kind === 'span') return [window.from, window.to];
  return window.kind === 'moment' ? [window.at, window.at] : [span - window.periods * period, span];
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
          known.map(({ readers }) => readers),
          stretchesIn(run, from, to),
          { tick: run.tick, size: network.size, closeness },
        );
    known.forEach(({ index, measure, readers }, place) => {
      const value = isMoment ? valueAt(run, readers, from) : valueOf(measure.op, sums[place]);
      found[index] = { value, unit: UNITS[measure.signal.kind] };
    });
  }
  return found;
}

const UNITS = { volts: 'V', amperes: 'A', magnetising: 'A', watts: 'W' } as const;

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

function stretchesIn({ stretches, tick }: Run, from: number, to: number): readonly Stretch[] {
  const [first, last] = [Math.round(from / tick), Math.round(to / tick)];
  return stretches.filter((one) => one.from >= first && one.from + one.ticks <= last);
}

function dot(row: Float64Array, z: Float64Array): number {
  let sum = 0;
  for (let index = 0; index < z.length; index += 1) sum += row[index]! * z[index]!;
  return sum;
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
