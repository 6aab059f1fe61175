import { practice } from '../evidence';
import { rampInductance } from '../magnetics';
import { fitColumns } from './fitColumns';
import { lineThrough, smoothed } from './line';
import { SCOPE, type Stretch, type WaveFailure } from './wave';

const failure = (message: string): WaveFailure => ({ kind: 'failure', message });

/** Values at the ends of a stretch, noise averaged out: a share of the samples, and three at least. */
const meanOf = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

export interface RampFinding {
  readonly kind: 'ramp';
  /** Of the first third of the ramp. */
  readonly inductance: number;
  readonly inductanceUncertainty: number;
  /** Where 70 % of it is left; none when the ramp never got there. */
  readonly saturation: number | undefined;
  readonly peak: number;
  readonly from: number;
  readonly to: number;
}

const RAMP_SEGMENTS = 12;
/**
 * Inductance and saturation from a current ramp at a steady voltage: the rise is cut into twelve, each fitted by a
 * line, L = V·dt/di less the drop across the loop's resistance.
 * @param amperesPerUnit of the channel, when it shows volts of a probe or a shunt
 */
export function analyseRamp(
  stretch: Stretch,
  of: { volts: number; loopOhms?: number; amperesPerUnit?: number },
): RampFinding | WaveFailure {
  const { time, values } = stretch;
  const current = values.map((value) => value * (of.amperesPerUnit ?? 1));
  const calm = smoothed(current, Math.max(3, Math.round(current.length / 200)));
  let peakAt = 0;
  for (let index = 1; index < calm.length; index += 1) if ((calm[index] ?? 0) > (calm[peakAt] ?? 0)) peakAt = index;
  const floor = calm.slice(0, peakAt + 1).reduce((low, value) => Math.min(low, value), Infinity);
  const peak = calm[peakAt] ?? 0;
  const low = floor + 0.04 * (peak - floor);
  let start = peakAt;
  while (start > 0 && (calm[start] ?? 0) > low) start -= 1;
  const length = peakAt - start;
  if (length < 3 * RAMP_SEGMENTS)
    return failure('There is no ramp of 36 samples or more in this stretch; zoom in on one.');
  const points = Array.from({ length: RAMP_SEGMENTS + 1 }, (_, index) => {
    const at = start + Math.round((index * length) / RAMP_SEGMENTS);
    const reach = Math.max(2, Math.round(length / (3 * RAMP_SEGMENTS)));
    const line = lineThrough(time, current, Math.max(start, at - reach), Math.min(peakAt + 1, at + reach + 1));
    return { t: time[at] ?? 0, i: line.at0 + line.slope * (time[at] ?? 0) };
  });
  const { segments, saturation } = rampInductance({
    points,
    volts: of.volts,
    ...(of.loopOhms ? { loopOhms: of.loopOhms } : {}),
  });
  if (segments.length < RAMP_SEGMENTS / 2)
    return failure('The current does not rise steadily in this stretch; zoom in on one ramp.');
  const third = start + Math.round(length / 3);
  const { slope, slopeUncertainty } = lineThrough(time, current, start, third);
  const drop = (((current[start] ?? 0) + (current[third] ?? 0)) / 2) * (of.loopOhms ?? 0);
  const inductance = (of.volts - drop) / slope;
  return {
    kind: 'ramp',
    inductance,
    inductanceUncertainty: inductance * Math.hypot(slopeUncertainty / slope, SCOPE.volts),
    saturation,
    peak,
    from: time[start] ?? 0,
    to: time[peakAt] ?? 0,
  };
}

export interface RingFinding {
  readonly kind: 'ring';
  readonly frequency: number;
  readonly frequencyUncertainty: number;
  readonly quality: number;
  /** Whole periods that stay above a tenth of the first. */
  readonly periods: number;
  /** First amplitude, and what the ring settles to. */
  readonly amplitude: number;
  readonly settles: number;
}

/**
 * Frequency and quality of a ring: the crossings of what it settles to give the frequency by a line through their
 * times, the extremes between them the decrement by a line through their logarithms, as long as they stand out of the
 * noise.
 */
export function analyseRing(stretch: Stretch): RingFinding | WaveFailure {
  const rough = ringOf(stretch);
  if (rough.kind === 'failure') return rough;
  const { time, values } = stretch;
  const span = (time.at(-1) ?? 0) - (time[0] ?? 0);
  const perPeriod = values.length / Math.max(1, rough.frequency * span);
  // A tenth of a period evens the noise out and takes as much off every swing, so that the decrement stays.
  return perPeriod < 20 ? rough : ringOf({ time, values: smoothed(values, Math.round(perPeriod / 10)) });
}

function ringOf({ time, values }: Stretch): RingFinding | WaveFailure {
  const tail = values.subarray(Math.floor(values.length * 0.85));
  const settles = meanOf(tail);
  const noise = Math.sqrt(meanOf(tail.map((value) => (value - settles) ** 2)));
  let first = 0;
  for (let index = 1; index < values.length; index += 1)
    if (Math.abs((values[index] ?? 0) - settles) > Math.abs((values[first] ?? 0) - settles)) first = index;
  const amplitude = Math.abs((values[first] ?? 0) - settles);
  const stands = Math.max(4 * noise, 0.02 * amplitude);
  const crossings: number[] = [];
  const extremes: { index: number; t: number; size: number }[] = [];
  let sign = Math.sign((values[first] ?? 0) - settles);
  let extreme = { t: time[first] ?? 0, size: amplitude };
  let candidate: number | undefined;
  for (let index = first + 1; index < values.length; index += 1) {
    const [before, now] = [(values[index - 1] ?? 0) - settles, (values[index] ?? 0) - settles];
    if (Math.sign(now) !== sign && Math.sign(before) === sign && candidate === undefined) {
      const share = before === now ? 0 : before / (before - now);
      candidate = (time[index - 1] ?? 0) + share * ((time[index] ?? 0) - (time[index - 1] ?? 0));
    }
    if (Math.sign(now) === sign && Math.abs(now) > extreme.size) extreme = { t: time[index] ?? 0, size: Math.abs(now) };
    // Only a swing that stands out of the noise on the other side makes the crossing count.
    if (candidate !== undefined && Math.sign(now) === -sign && Math.abs(now) > stands / 2) {
      crossings.push(candidate);
      extremes.push({ index: extremes.length, ...extreme });
      if (extreme.size < stands) break;
      sign = -sign;
      extreme = { t: time[index] ?? 0, size: Math.abs(now) };
      candidate = undefined;
    }
  }
  if (crossings.length < 4)
    return failure('There are fewer than two periods of a ring in this stretch; zoom in on it.');
  const { slope, slopeUncertainty } = lineThrough(
    crossings.map((_, index) => index),
    crossings,
  );
  const frequency = 1 / (2 * slope);
  const sure = extremes.filter(({ size }) => size > stands);
  const decay = lineThrough(
    sure.map(({ index }) => index),
    sure.map(({ size }) => Math.log(size)),
  );
  const decrement = -2 * decay.slope;
  const quality = decrement > 0 ? Math.sqrt(0.25 + (Math.PI / decrement) ** 2) : Infinity;
  return {
    kind: 'ring',
    frequency,
    frequencyUncertainty: frequency * Math.hypot(slopeUncertainty / slope, SCOPE.time),
    quality,
    periods: decrement > 0 ? Math.floor(Math.log(10) / decrement) : crossings.length / 2,
    amplitude,
    settles,
  };
}

export interface Parasitics {
  readonly inductance: number;
  readonly capacitance: number;
  /** Series resistor and capacitor across what rings. */
  readonly snubber: { readonly resistance: number; readonly capacitance: number };
}

/** The snubber's capacitor is this many times the parasitic one. */
const SNUBBER_TIMES = practice(3);

/**
 * Leakage inductance and parasitic capacitance from the ring, and once more with a known capacitor across it:
 * C = Cadd/((f0/f1)² − 1), L = 1/((2π·f0)²·C); or from the ring and a known inductance. The snubber: R = √(L/C) in
 * series with three times C. Common practice in application notes, from memory.
 */
export function parasiticsOf(
  of: { frequency: number } & ({ loaded: number; added: number } | { inductance: number }),
): Parasitics | WaveFailure {
  const omega = 2 * Math.PI * of.frequency;
  let capacitance: number;
  if ('inductance' in of) capacitance = 1 / (omega ** 2 * of.inductance);
  else {
    const fall = (of.frequency / of.loaded) ** 2 - 1;
    if (fall <= 0)
      return failure('With more capacitance it must ring slower: the two frequencies are swapped or one is wrong.');
    capacitance = of.added / fall;
  }
  const inductance = 1 / (omega ** 2 * capacitance);
  return {
    inductance,
    capacitance,
    snubber: { resistance: Math.sqrt(inductance / capacitance), capacitance: SNUBBER_TIMES * capacitance },
  };
}

export interface DischargeFinding {
  readonly kind: 'discharge';
  /** Where it comes to rest, when that is not zero. */
  readonly rests?: number;
  readonly tau: number;
  readonly tauUncertainty: number;
  readonly start: number;
  /** Of what discharges, when the resistor is known. */
  readonly capacitance?: number;
}

/**
 * Time constant of a discharge: a line through the logarithms of what lies between 95 % and 15 % of its start; and the
 * capacitance, τ/R, when it is known what the charge runs off through.
 */
export function analyseDischarge({ time, values }: Stretch, throughOhms?: number): DischargeFinding | WaveFailure {
  const calm = smoothed(values, Math.max(3, Math.round(values.length / 300)));
  let top = 0;
  for (let index = 1; index < calm.length; index += 1) if ((calm[index] ?? 0) > (calm[top] ?? 0)) top = index;
  const start = calm[top] ?? 0;
  const picked: { t: number; v: number }[] = [];
  for (let index = top; index < calm.length; index += 1) {
    const value = calm[index] ?? 0;
    if (value < 0.15 * start) break;
    if (value <= 0.95 * start) picked.push({ t: time[index] ?? 0, v: Math.log(value) });
  }
  if (start <= 0 || picked.length < 10) return failure('There is no discharge from above zero in this stretch.');
  const { slope, slopeUncertainty } = lineThrough(
    picked.map(({ t }) => t),
    picked.map(({ v }) => v),
  );
  if (slope >= 0) return failure('The voltage does not fall in this stretch.');
  const resting = withRest({ time: time.subarray(top), values: values.subarray(top) }, -1 / slope);
  if (resting)
    return {
      kind: 'discharge',
      ...resting,
      start,
      ...(throughOhms ? { capacitance: resting.tau / throughOhms } : {}),
    };
  const tau = -1 / slope;
  return {
    kind: 'discharge',
    tau,
    tauUncertainty: slopeUncertainty / slope ** 2,
    start,
    ...(throughOhms ? { capacitance: tau / throughOhms } : {}),
  };
}

/** A rest counts from this share of the start, and when it takes so many times the scatter off. */
const REST = practice({ share: 0.02, better: 1.5 } as const);
/** Samples that the search for a rest looks at. */
const MOST_SEARCHED = 2000;

/**
 * The time constant of a discharge that comes to rest above or below zero: V = A·e^(−t/τ) + B, A and B by least squares
 * for each τ, τ by a golden section on its logarithm.
 * @returns nothing when a rest at zero describes the samples as well
 */
function withRest(
  { time, values }: Stretch,
  guess: number,
): { readonly tau: number; readonly tauUncertainty: number; readonly rests: number } | undefined {
  const stride = Math.max(1, Math.ceil(values.length / MOST_SEARCHED));
  const t = time.filter((_, index) => index % stride === 0).map((moment) => moment - (time[0] ?? 0));
  const v = values.filter((_, index) => index % stride === 0);
  if (v.length < 20) return undefined;
  const at = (tau: number, isFree: boolean) => {
    const decay = t.map((moment) => Math.exp(-moment / tau));
    return fitColumns(isFree ? [decay, v.map(() => 1)] : [decay], v);
  };
  const search = (isFree: boolean) => {
    const golden = (Math.sqrt(5) - 1) / 2;
    let [low, high] = [Math.log(guess / 20), Math.log(guess * 20)];
    for (let round = 0; round < 60; round += 1) {
      const [one, other] = [high - golden * (high - low), low + golden * (high - low)];
      if (at(Math.exp(one), isFree).residual < at(Math.exp(other), isFree).residual) high = other;
      else low = one;
    }
    const tau = Math.exp((low + high) / 2);
    return { tau, ...at(tau, isFree) };
  };
  const [free, fixed] = [search(true), search(false)];
  const rests = free.coefficients[1] ?? 0;
  const size = Math.abs(free.coefficients[0] ?? 0);
  if (Math.abs(rests) < REST.share * size || fixed.residual < REST.better ** 2 * free.residual) return undefined;
  const scatter = Math.sqrt(free.residual / Math.max(1, v.length - 3));
  return { tau: free.tau, tauUncertainty: (free.tau * scatter) / (size * Math.sqrt(v.length / 8)), rests };
}

export interface StepFinding {
  readonly kind: 'step';
  readonly esr: number;
  /** What the moment between two samples leaves open, while the voltage runs away. */
  readonly esrUncertainty: number;
  readonly capacitance: number | undefined;
  readonly jump: number;
}

/** Samples among which the moment of a step is first looked for. */
const MOST_CUTS = 4000;

/**
 * ESR and capacitance from a step of current: the voltage jumps by I·ESR and then runs away by I/C. The moment is where
 * two lines, one before and one behind, leave the least squares over; both carried to it give the jump; the change of
 * their slopes gives C.
 */
export function analyseStep({ time, values }: Stretch, current: number): StepFinding | WaveFailure {
  const cut = current > 0 ? stepAt({ time, values }) : undefined;
  if (cut === undefined) return failure('A step with some time before and behind it, and its current, are needed.');
  // The edge itself, with what rings on it, is left out of the lines.
  const gap = Math.max(1, Math.round(values.length / 400));
  const before = lineThrough(time, values, 0, Math.max(2, cut - gap));
  const after = lineThrough(time, values, Math.min(values.length - 2, cut + gap), values.length);
  const moment = ((time[cut - 1] ?? 0) + (time[cut] ?? 0)) / 2;
  const jump = Math.abs(after.at0 + after.slope * moment - (before.at0 + before.slope * moment));
  const turn = Math.abs(after.slope - before.slope);
  const sure = turn > 4 * Math.hypot(after.slopeUncertainty, before.slopeUncertainty);
  const between = (time[cut] ?? 0) - (time[cut - 1] ?? 0);
  return {
    kind: 'step',
    esr: jump / current,
    esrUncertainty: (turn * between) / 2 / current,
    capacitance: sure ? current / turn : undefined,
    jump,
  };
}

/** Index of the first sample behind the step; none without ten samples on either side. */
function stepAt({ time, values }: Stretch): number | undefined {
  const stride = Math.max(1, Math.ceil(values.length / MOST_CUTS));
  const coarse = bestCut({
    time: time.filter((_, index) => index % stride === 0),
    values: values.filter((_, index) => index % stride === 0),
  });
  if (coarse === undefined) return undefined;
  if (stride === 1) return coarse;
  // Between the coarse samples the step is where a sample first lies nearer to the line behind it.
  const [from, to] = [Math.max(10, (coarse - 2) * stride), Math.min(values.length - 10, (coarse + 2) * stride)];
  const before = lineThrough(time, values, 0, from);
  const after = lineThrough(time, values, to, values.length);
  for (let index = from; index < to; index += 1) {
    const at = time[index] ?? 0;
    const off = (line: typeof before) => Math.abs((values[index] ?? 0) - line.at0 - line.slope * at);
    if (off(after) < off(before)) return index;
  }
  return to;
}

/** The cut of a stretch into two lines that leaves the least squares over, by running sums. */
function bestCut({ time, values }: Stretch): number | undefined {
  const n = values.length;
  if (n < 24) return undefined;
  const [from, mean] = [time[0] ?? 0, meanOf(values)];
  const sums = Array.from({ length: 5 }, () => new Float64Array(n + 1));
  for (let index = 0; index < n; index += 1) {
    const [t, v] = [(time[index] ?? 0) - from, (values[index] ?? 0) - mean];
    [t, v, t * t, t * v, v * v].forEach((term, which) => {
      const sum = sums[which]!;
      sum[index + 1] = (sum[index] ?? 0) + term;
    });
  }
  const left = (a: number, b: number) => {
    const [st, sv, stt, stv, svv] = sums.map((sum) => (sum[b] ?? 0) - (sum[a] ?? 0)) as [
      number,
      number,
      number,
      number,
      number,
    ];
    const count = b - a;
    const spread = stt - (st * st) / count;
    const shared = stv - (st * sv) / count;
    return svv - (sv * sv) / count - (spread > 0 ? (shared * shared) / spread : 0);
  };
  let [best, least] = [10, Infinity];
  for (let cut = 10; cut <= n - 10; cut += 1) {
    const squares = left(0, cut) + left(cut, n);
    if (squares < least) [best, least] = [cut, squares];
  }
  return best;
}

export interface ChoppingFinding {
  readonly kind: 'chopping';
  /** Degrees of each half wave before it is let through. */
  readonly angle: number;
  readonly frequency: number;
}

/** Shares of the peak: below the one a half wave is over, above the other the next has begun; noise lies between. */
const DARK_BELOW = 0.08;
const LIT_ABOVE = 0.15;

/**
 * The angle at which a dimmer lets the mains through: what is dark between the end of one half wave and the start of
 * the next, against the time between ends, which is half a period.
 */
export function analyseChopping({ time, values }: Stretch): ChoppingFinding | WaveFailure {
  const calm = smoothed(values, Math.max(1, Math.round(values.length / 800)));
  const peak = calm.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  const ends: number[] = [];
  const darks: number[] = [];
  let lit = Math.abs(calm[0] ?? 0) > DARK_BELOW * peak;
  for (let index = 1; index < calm.length; index += 1) {
    const now = Math.abs(calm[index] ?? 0) > (lit ? DARK_BELOW : LIT_ABOVE) * peak;
    if (lit && !now) ends.push(time[index] ?? 0);
    if (!lit && now && ends.length > 0) darks.push((time[index] ?? 0) - (ends.at(-1) ?? 0));
    lit = now;
  }
  if (ends.length < 3 || darks.length < 2) return failure('Two half waves at least are needed in this stretch.');
  const half = lineThrough(
    ends.map((_, index) => index),
    ends,
  ).slope;
  const dark = darks.reduce((sum, value) => sum + value, 0) / darks.length;
  // A sine falls under the threshold a little before its end; cut behind its top, its highest value is less than its peak.
  let angle = 90;
  for (let round = 0; round < 20; round += 1) {
    const share = angle > 90 ? Math.sin((Math.PI * angle) / 180) : 1;
    const own = (half * Math.asin(DARK_BELOW * share)) / Math.PI;
    angle = Math.min(179, Math.max(0, (180 * (dark - own)) / half));
  }
  // A half wave that nothing cuts passes the threshold by itself.
  const untouched = (180 * Math.asin(LIT_ABOVE)) / Math.PI;
  return { kind: 'chopping', angle: angle <= untouched + 1 ? 0 : angle, frequency: 1 / (2 * half) };
}
