import { practice } from '../evidence';
import { findBreak, relativeNoise, type Break } from './findBreak';
import { fitLine, type Line } from './fitLine';
import { studentT95 } from './studentT';
import type { TimedReading } from './timedReading';

export type DischargeWarning =
  | { readonly kind: 'too-few'; readonly usable: number }
  | { readonly kind: 'rising'; readonly at: number }
  | { readonly kind: 'rebound'; readonly at: number }
  | { readonly kind: 'plateau'; readonly from: number; readonly voltage: number }
  | { readonly kind: 'two-regimes'; readonly from: number; readonly early: number; readonly late: number }
  | { readonly kind: 'constant-current' }
  | { readonly kind: 'converter-running' }
  | { readonly kind: 'does-not-fit'; readonly residual: number }
  | { readonly kind: 'cannot-tell-model' }
  | { readonly kind: 'far-extrapolation'; readonly spans: number }
  | { readonly kind: 'reading-dropped'; readonly at: number; readonly voltage: number };

export interface DischargeFit {
  readonly model: 'exponential' | 'two-regimes' | 'constant-current' | 'constant-power' | 'undecided' | 'none';
  /** Time constant in seconds with bounds that hold at 95 %; of the later regime where there are two. */
  readonly tau?: number;
  readonly tauLow?: number;
  readonly tauHigh?: number;
  readonly tauStandard?: number;
  /** Volts at time 0 by the fit. */
  readonly v0?: number;
  /** Volts that each reading lies above the fit. */
  readonly residuals: readonly number[];
  /** Voltage by the fit, and its 95 % band, at a time in seconds. */
  readonly voltageAt?: (time: number) => { fit: number; low: number; high: number };
  /** Seconds from time 0 to a voltage, and the bound that is later in 95 of 100 cases. */
  readonly timeTo?: (voltage: number) => { time: number; standard: number; latest: number; spans: number };
  /** Where the fit begins to hold, in seconds, when the curve changes its pace before. */
  readonly holdsFrom?: number;
  readonly warnings: readonly DischargeWarning[];
}

/** One model must leave at most half the residual of the next to be believed (FORMULAS 1.8). */
const CLEARLY_BETTER = 2;
/** Beyond this many measured spans a time is a guess. */
export const FARTHEST_EXTRAPOLATION = practice(3);
/** Residuals above this share of the mean voltage are no meter noise. */
const LARGEST_RESIDUAL = practice(0.03);
/** A late pace so many times slower than the early one, over which so little falls, is a plateau; else it is a second regime. */
const PLATEAU = practice({ ratio: 8, fall: 0.1 } as const);
/** A rise from under this share of the first reading is a store that recovers, not one that is fed. */
const RECOVERS_BELOW = practice(0.3);
/** Readings under this many meter digits say more of the meter than of the store (FORMULAS 1.6). */
const SMALLEST_DIGITS = 20;

/**
 * Fits timed readings of a bleeding store: least squares of ln V against time, and beside it V and
 * V² for a constant-current and a constant-power discharge. A time comes out only when an
 * exponential clearly describes the readings, or the later part of them where the pace changes
 * once; otherwise a warning says why not.
 * Method: FORMULAS 1.6 to 1.8, each reading weighted by what its meter's last digit leaves it worth;
 * the scatter is at least what that digit causes. Bounds of tau are two-sided 95 %, of a time
 * one-sided 95 % (late).
 */
export function fitDischarge(readings: readonly TimedReading[]): DischargeFit {
  const warnings: DischargeWarning[] = [];
  // Leads the other way round read below zero: what counts is the magnitude.
  const inOrder = [...readings]
    .sort((a, b) => a.time - b.time)
    .map((reading) => ({ ...reading, voltage: Math.abs(reading.voltage) }));
  const usable = inOrder.filter((reading) => {
    const enough = reading.voltage > 0 && reading.voltage >= SMALLEST_DIGITS * (reading.resolution ?? 0);
    if (!enough) warnings.push({ kind: 'reading-dropped', at: reading.time, voltage: reading.voltage });
    return enough;
  });
  const none = (warning: DischargeWarning, model: DischargeFit['model'] = 'none'): DischargeFit => ({
    model,
    residuals: readings.map(() => 0),
    warnings: [...warnings, warning],
  });
  // A store that comes back is told however coarse the readings are.
  const rise = firstRise(inOrder);
  if (rise) {
    warnings.length = 0;
    return none(rise);
  }
  if (usable.length < 3 || spanOf(usable) <= 0) return none({ kind: 'too-few', usable: usable.length });

  const found = findBreak(usable);
  if (found && found.ratio > 1) return ofSlowing(readings, usable, found, warnings, none);

  const logLine = fitLine(logPoints(usable));
  const models = [
    { model: 'exponential' as const, error: errorOf(usable, logLine, Math.exp) },
    {
      model: 'constant-current' as const,
      error: errorOf(
        usable,
        plainLine(usable, (v) => v),
        (y) => y,
      ),
    },
    {
      model: 'constant-power' as const,
      error: errorOf(
        usable,
        plainLine(usable, (v) => v * v),
        (y) => Math.sqrt(Math.max(0, y)),
      ),
    },
  ].sort((a, b) => a.error - b.error);
  const [best, second] = models as [(typeof models)[0], (typeof models)[0]];
  const mean = usable.reduce((sum, { voltage }) => sum + voltage, 0) / usable.length;

  const clear = Math.max(best.error, digitError(usable)) * CLEARLY_BETTER <= second.error;
  if (clear && best.model === 'constant-current') return none({ kind: 'constant-current' }, best.model);
  if (clear && best.model === 'constant-power') return none({ kind: 'converter-running' }, best.model);
  if (found) return ofTwoRegimes(readings, usable, found, warnings);
  if (!clear) return none({ kind: 'cannot-tell-model' }, 'undecided');
  if (best.error > LARGEST_RESIDUAL * mean) return none({ kind: 'does-not-fit', residual: best.error }, 'undecided');
  return describe(readings, usable, logLine, warnings);
}

/** A curve that slows down: a plateau when it stops, else two regimes of which the later one counts. */
function ofSlowing(
  readings: readonly TimedReading[],
  usable: readonly TimedReading[],
  found: Break,
  warnings: readonly DischargeWarning[],
  none: (warning: DischargeWarning, model?: DischargeFit['model']) => DischargeFit,
): DischargeFit {
  const late = usable.slice(found.at);
  const fallen = 1 - (late.at(-1)?.voltage ?? 0) / (late[0]?.voltage ?? 1);
  if (!found.lateFalls || (found.ratio >= PLATEAU.ratio && fallen < PLATEAU.fall))
    return none({ kind: 'plateau', from: late[0]?.time ?? 0, voltage: late.at(-1)?.voltage ?? 0 }, 'undecided');
  return ofTwoRegimes(readings, usable, found, warnings);
}

function ofTwoRegimes(
  readings: readonly TimedReading[],
  usable: readonly TimedReading[],
  found: Break,
  warnings: readonly DischargeWarning[],
): DischargeFit {
  const late = usable.slice(found.at);
  const from = late[0]?.time ?? 0;
  const warning: DischargeWarning = { kind: 'two-regimes', from, early: found.early, late: found.late };
  if (late.length < 3)
    return { model: 'undecided', residuals: readings.map(() => 0), warnings: [...warnings, warning] };
  const fit = describe(readings, late, fitLine(logPoints(late)), [...warnings, warning]);
  const residuals = readings.map(({ time }, index) => (time < from ? 0 : (fit.residuals[index] ?? 0)));
  return { ...fit, model: 'two-regimes', residuals, holdsFrom: from };
}

/** ln V against time; a reading that is few digits tall weighs less. */
function logPoints(readings: readonly TimedReading[]) {
  const noise = readings.map(relativeNoise);
  const least = Math.min(...noise);
  return readings.map(({ time, voltage }, index) => ({
    x: time,
    y: Math.log(voltage),
    weight: (least / (noise[index] ?? least)) ** 2,
  }));
}

function plainLine(readings: readonly TimedReading[], transform: (voltage: number) => number): Line {
  return fitLine(readings.map(({ time, voltage }) => ({ x: time, y: transform(voltage), weight: 1 })));
}

/** Root mean square error in volts that the meter's last digit causes by itself. */
function digitError(readings: readonly TimedReading[]): number {
  const squares = readings.reduce((sum, { resolution }) => sum + (resolution ?? 0) ** 2 / 12, 0);
  return Math.sqrt(squares / readings.length);
}

function errorOf(readings: readonly TimedReading[], line: Line, back: (y: number) => number): number {
  const squares = readings.reduce(
    (sum, { time, voltage }) => sum + (voltage - back(line.intercept + line.slope * time)) ** 2,
    0,
  );
  return Math.sqrt(squares / readings.length);
}

function describe(
  all: readonly TimedReading[],
  usable: readonly TimedReading[],
  line: Line,
  warnings: readonly DischargeWarning[],
): DischargeFit {
  // Against the best reading of the run, whose weight is 1.
  const digitNoise = Math.min(...usable.map(({ voltage, resolution }) => (resolution ?? 0) / Math.sqrt(12) / voltage));
  const scatter = Math.max(line.scatter, digitNoise);
  const { oneSided, twoSided } = studentT95(line.count - 2);
  const tau = -1 / line.slope;
  const slopeStandard = scatter / Math.sqrt(line.spread);
  const steepest = line.slope - twoSided * slopeStandard;
  const flattest = line.slope + twoSided * slopeStandard;
  const last = Math.max(...usable.map(({ time }) => time));
  const first = Math.min(...usable.map(({ time }) => time));
  const standardAt = (time: number) => scatter * Math.sqrt(1 / line.weight + (time - line.mean) ** 2 / line.spread);

  const timeTo = (voltage: number) => {
    const time = (line.intercept - Math.log(voltage)) / -line.slope;
    const standard = standardAt(time) / Math.abs(line.slope);
    return { time, standard, latest: time + oneSided * standard, spans: (time - first) / (last - first) };
  };
  const voltageAt = (time: number) => {
    const center = line.intercept + line.slope * time;
    const reach = twoSided * standardAt(time);
    return { fit: Math.exp(center), low: Math.exp(center - reach), high: Math.exp(center + reach) };
  };
  return {
    model: 'exponential',
    tau,
    tauLow: -1 / steepest,
    tauHigh: flattest < 0 ? -1 / flattest : Infinity,
    tauStandard: slopeStandard * tau ** 2,
    v0: Math.exp(line.intercept),
    residuals: all.map(({ time, voltage }) => Math.abs(voltage) - voltageAt(time).fit),
    voltageAt,
    timeTo,
    warnings,
  };
}

function spanOf(readings: readonly TimedReading[]): number {
  const times = readings.map(({ time }) => time);
  return Math.max(...times) - Math.min(...times);
}

/** The first reading that is higher than one before it by more than the meter could mistake. */
function firstRise(inOrder: readonly TimedReading[]): DischargeWarning | undefined {
  let lowest = Infinity;
  for (const { time, voltage, resolution } of inOrder) {
    if (voltage > lowest + 2 * (resolution ?? 0) + lowest * 0.005) {
      const recovers = lowest < RECOVERS_BELOW * (inOrder[0]?.voltage ?? 0);
      return { kind: recovers ? 'rebound' : 'rising', at: time };
    }
    lowest = Math.min(lowest, voltage);
  }
  return undefined;
}
