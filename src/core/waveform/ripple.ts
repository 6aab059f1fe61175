import { practice } from '../evidence';
import { fitColumns } from './fitColumns';
import { lineThrough, smoothed } from './line';
import { SCOPE, type Stretch, type WaveFailure } from './wave';

export interface RippleFinding {
  readonly kind: 'ripple';
  readonly peakToPeak: number;
  /** Of what is left without the mean. */
  readonly rms: number;
  readonly mean: number;
  /** Of the capacitor that carries the ripple, when its current is known. */
  readonly capacitor?: RippleCapacitor | WaveFailure;
}

export interface RippleCapacitor {
  readonly kind: 'capacitor';
  readonly esr: number;
  readonly esrUncertainty: number;
  /** Undefined when the ESR hides it. */
  readonly capacitance: number | undefined;
  readonly capacitanceUncertainty: number;
}

/** Shape of the current in a capacitor over a period: behind a choke, or behind the rectifier of a flyback. */
export type RippleShape = 'triangle' | 'pulse';

/** What is known of the current: a recording of it, or its shape with the swing from trough to peak in amperes. */
export type RippleCurrent =
  | { readonly recorded: Float64Array }
  | { readonly shape: RippleShape; readonly swing: number };

/** A value counts as told from this many of its standard uncertainties. */
const SURE = practice(4);
/** Samples at the ends of the spread that noise and spikes would give. */
const SPIKES = practice(0.001);

/**
 * Ripple of a rail: its mean, and what lies on it; the extremes less the share that noise would give. With the current
 * of the capacitor also its ESR and capacitance, from v = ESR·i + (1/C)·∫i dt by least squares.
 */
export function analyseRipple(stretch: Stretch, current?: RippleCurrent): RippleFinding {
  const { values } = stretch;
  const mean = meanOf(values);
  const sorted = Float64Array.from(values).sort();
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return {
    kind: 'ripple',
    peakToPeak: at(1 - SPIKES) - at(SPIKES),
    rms: Math.sqrt(meanOf(values.map((value) => (value - mean) ** 2))),
    mean,
    ...(current
      ? { capacitor: 'recorded' in current ? byRecording(stretch, current.recorded) : byShape(stretch, current) }
      : {}),
  };
}

const meanOf = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** With the current sample by sample: a fixed part and a drift are let go, since neither probe knows its zero. */
function byRecording({ time, values }: Stretch, recorded: Float64Array): RippleCapacitor | WaveFailure {
  if (values.length < 40) return failure('Forty samples at least are needed in this stretch.');
  const mean = meanOf(recorded);
  const current = recorded.map((value) => value - mean);
  const charge = new Float64Array(current.length);
  for (let index = 1; index < current.length; index += 1)
    charge[index] =
      (charge[index - 1] ?? 0) +
      (((current[index] ?? 0) + (current[index - 1] ?? 0)) / 2) * ((time[index] ?? 0) - (time[index - 1] ?? 0));
  const from = time[0] ?? 0;
  const span = (time.at(-1) ?? 0) - from;
  const { coefficients, uncertainties } = fitColumns(
    [values.map(() => 1), time.map((moment) => (moment - from) / span), current, charge],
    values,
  );
  // A probe turned round shows the current of the other direction.
  const way = (coefficients[2] ?? 0) < 0 ? -1 : 1;
  return told(
    way * (coefficients[2] ?? 0),
    uncertainties[2] ?? Infinity,
    way * (coefficients[3] ?? 0),
    uncertainties[3] ?? Infinity,
  );
}

/** Spans of a period into which all periods in view are laid for a first look. */
const SPANS = 96;
const DUTIES = Array.from({ length: 24 }, (_, index) => 0.04 + 0.04 * index);
const SHIFTS = Array.from({ length: 48 }, (_, index) => index / 48);
/** Samples that the last search looks at. */
const MOST_SAMPLES = 6000;

/**
 * With the shape alone: the share of the period and the moment at which the current turns are sought for which ESR and
 * C explain most of what is seen; first on all periods laid on each other, then sample by sample, with the period too.
 */
function byShape(stretch: Stretch, { shape, swing }: { shape: RippleShape; swing: number }) {
  if (swing <= 0) return failure('A swing of the current above zero is needed.');
  const period = periodOf(stretch);
  if (period === undefined) return failure('Two whole periods of the ripple at least are needed in this stretch.');
  const folded = fold(stretch, period);
  let best = fitAt(folded, shape, { period, duty: 0.5, shift: 0 });
  const consider = (next: typeof best) => {
    const isBetter = next.residual < best.residual;
    if (isBetter) best = next;
    return isBetter;
  };
  for (const duty of DUTIES) for (const shift of SHIFTS) consider(fitAt(folded, shape, { period, duty, shift }));
  const samples = thinned(stretch);
  const periods = ((samples.time.at(-1) ?? 0) - (samples.time[0] ?? 0)) / period;
  best = fitAt(samples, shape, best.turns);
  for (let step = 0.02; step > 1e-4;) {
    const { turns } = best;
    const moved = [1, -1]
      .flatMap((way) => [
        { ...turns, duty: Math.min(0.98, Math.max(0.02, turns.duty + way * step)) },
        { ...turns, shift: turns.shift + way * step },
        { ...turns, period: turns.period * (1 + (way * step) / periods) },
      ])
      .filter((next) => consider(fitAt(samples, shape, next)));
    if (moved.length === 0) step /= 2;
  }
  if (best.residual === Infinity)
    return failure(`The ripple is not what a ${shape} of current makes in a capacitor; choose another shape.`);
  const { coefficients, uncertainties } = best.fit;
  const per = (values: readonly number[], at: number) => (values[at] ?? Infinity) / swing;
  return told(per(coefficients, 1), per(uncertainties, 1), per(coefficients, 2), per(uncertainties, 2));
}

/** When the current turns: the share of the period that it rises or flows, and where that begins, in periods. */
interface Turns {
  readonly period: number;
  readonly duty: number;
  readonly shift: number;
}

/** ESR and elastance for one ampere of swing; a fit with a negative one explains nothing. */
function fitAt({ time, values }: Stretch, shape: RippleShape, turns: Turns) {
  const phases = time.map((moment) => {
    const phase = moment / turns.period - turns.shift;
    return phase - Math.floor(phase);
  });
  const { current, charge } = CURRENTS[shape];
  const fit = fitColumns(
    [
      new Float64Array(values.length).fill(1),
      phases.map((phase) => current(phase, turns.duty)),
      phases.map((phase) => charge(phase, turns.duty) * turns.period),
    ],
    values,
  );
  const [, esr = 0, elastance = 0] = fit.coefficients;
  return { turns, fit, residual: esr < 0 || elastance < 0 ? Infinity : fit.residual };
}

/** Current and its integral by phase, from trough to peak one, mean zero, in periods. */
const CURRENTS: Readonly<
  Record<RippleShape, Readonly<Record<'current' | 'charge', (phase: number, duty: number) => number>>>
> = {
  triangle: {
    current: (x, d) => (x < d ? x / d : (1 - x) / (1 - d)) - 0.5,
    charge: (x, d) => (x < d ? x ** 2 / d - x : 1 - d - (1 - x) ** 2 / (1 - d) - (x - d)) / 2,
  },
  pulse: {
    current: (x, d) => (x < d ? 1 - x / d : 0) - d / 2,
    charge: (x, d) => (x < d ? x - x ** 2 / (2 * d) : d / 2) - (x * d) / 2,
  },
};

const failure = (message: string): WaveFailure => ({ kind: 'failure', message });

function told(
  esr: number,
  esrUncertainty: number,
  elastance: number,
  elastanceUncertainty: number,
): RippleCapacitor | WaveFailure {
  if (!(esr > SURE * esrUncertainty))
    return failure('The ripple does not follow the current; ESR and C cannot be told.');
  const isTold = elastance > SURE * elastanceUncertainty;
  const capacitance = isTold ? 1 / elastance : undefined;
  // Volts and amperes each have a scale of their own.
  const scales = Math.SQRT2 * SCOPE.volts;
  return {
    kind: 'capacitor',
    esr,
    esrUncertainty: Math.hypot(esrUncertainty, scales * esr),
    capacitance,
    capacitanceUncertainty: capacitance ? capacitance * Math.hypot(elastanceUncertainty / elastance, scales) : Infinity,
  };
}

/** Time from one rise through the mean to the next, by a line through all of them; undefined with fewer than three. */
function periodOf({ time, values }: Stretch): number | undefined {
  const calm = smoothed(values, Math.max(1, Math.round(values.length / 400)));
  const mean = meanOf(calm);
  const [low, high] = calm.reduce(([least, most], value) => [Math.min(least, value), Math.max(most, value)], [
    Infinity,
    -Infinity,
  ] as [number, number]);
  const rises: number[] = [];
  let isLow = false;
  for (let index = 1; index < calm.length; index += 1) {
    const value = calm[index] ?? 0;
    if (value < mean + 0.4 * (low - mean)) isLow = true;
    else if (isLow && value > mean + 0.4 * (high - mean)) {
      rises.push(time[index] ?? 0);
      isLow = false;
    }
  }
  return rises.length < 3
    ? undefined
    : lineThrough(
        rises.map((_, index) => index),
        rises,
      ).slope;
}

/** Mean of all periods, span by span, as a stretch of one period; a span without a sample is left out. */
function fold({ time, values }: Stretch, period: number): Stretch {
  const [sums, counts] = [new Float64Array(SPANS), new Float64Array(SPANS)];
  for (let index = 0; index < values.length; index += 1) {
    const at = Math.min(SPANS - 1, Math.floor(((((time[index] ?? 0) / period) % 1) + 1) * SPANS) % SPANS);
    sums[at] = (sums[at] ?? 0) + (values[index] ?? 0);
    counts[at] = (counts[at] ?? 0) + 1;
  }
  const filled = [...counts.keys()].filter((at) => counts[at]);
  return {
    time: Float64Array.from(filled, (at) => ((at + 0.5) / SPANS) * period),
    values: Float64Array.from(filled, (at) => (sums[at] ?? 0) / (counts[at] ?? 1)),
  };
}

function thinned({ time, values }: Stretch): Stretch {
  const every = Math.max(1, Math.ceil(values.length / MOST_SAMPLES));
  const isKept = (_: number, index: number) => index % every === 0;
  return { time: time.filter(isKept), values: values.filter(isKept) };
}
