import { studentT95 } from './studentT';

/** One reading of a store as it bleeds: seconds since the first, volts. */
export interface TimedReading {
  readonly time: number;
  readonly voltage: number;
  /** Weight of the meter's last digit in volts. */
  readonly resolution?: number;
}

export type DischargeWarning =
  | { readonly kind: 'too-few'; readonly usable: number }
  | { readonly kind: 'rising'; readonly at: number }
  | { readonly kind: 'plateau' }
  | { readonly kind: 'constant-current' }
  | { readonly kind: 'converter-running' }
  | { readonly kind: 'does-not-fit'; readonly residual: number }
  | { readonly kind: 'cannot-tell-model' }
  | { readonly kind: 'far-extrapolation'; readonly spans: number }
  | { readonly kind: 'reading-dropped'; readonly at: number; readonly voltage: number };

export interface DischargeFit {
  readonly model: 'exponential' | 'constant-current' | 'constant-power' | 'undecided' | 'none';
  /** Time constant in seconds with bounds that hold at 95 %; only for an exponential that holds. */
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
  readonly warnings: readonly DischargeWarning[];
}

/** One model must leave at most half the residual of the next to be believed (FORMULAS 1.8). */
const CLEARLY_BETTER = 2;
/** Beyond this many measured spans a time is a guess. Source: common practice, no source. */
export const FARTHEST_EXTRAPOLATION = 3;
/** Residuals above this share of the mean voltage are no meter noise. Source: common practice, no source. */
const LARGEST_RESIDUAL = 0.03;
/** The last local time constant may be so many times the first before the curve is called a plateau. */
const PLATEAU_RATIO = 3;
/** Readings under this many meter digits say more of the meter than of the store (FORMULAS 1.6). */
const SMALLEST_DIGITS = 20;

/**
 * Fits timed readings of a bleeding store: least squares of ln V against time, and beside it V and
 * V² for a constant-current and a constant-power discharge. A time comes out only when an
 * exponential clearly describes the readings; otherwise a warning says why not.
 * Method: FORMULAS 1.6 to 1.8, ordinary least squares; the scatter is at least what the meter's
 * last digit causes. Bounds of tau are two-sided 95 %, of a time one-sided 95 % (late).
 */
export function fitDischarge(readings: readonly TimedReading[]): DischargeFit {
  const warnings: DischargeWarning[] = [];
  const usable = readings.filter((reading) => {
    const enough = reading.voltage > 0 && reading.voltage >= SMALLEST_DIGITS * (reading.resolution ?? 0);
    if (!enough) warnings.push({ kind: 'reading-dropped', at: reading.time, voltage: reading.voltage });
    return enough;
  });
  const none = (warning: DischargeWarning, model: DischargeFit['model'] = 'none'): DischargeFit => ({
    model,
    residuals: readings.map(() => 0),
    warnings: [...warnings, warning],
  });
  if (usable.length < 3 || spanOf(usable) <= 0) return none({ kind: 'too-few', usable: usable.length });
  const rise = firstRise(usable);
  if (rise !== undefined) return none({ kind: 'rising', at: rise });

  const logLine = fitLine(usable, Math.log);
  const models = [
    { model: 'exponential' as const, error: errorOf(usable, logLine, Math.exp) },
    {
      model: 'constant-current' as const,
      error: errorOf(
        usable,
        fitLine(usable, (v) => v),
        (y) => y,
      ),
    },
    {
      model: 'constant-power' as const,
      error: errorOf(
        usable,
        fitLine(usable, (v) => v * v),
        (y) => Math.sqrt(Math.max(0, y)),
      ),
    },
  ].sort((a, b) => a.error - b.error);
  const [best, second] = models as [(typeof models)[0], (typeof models)[0]];
  const mean = usable.reduce((sum, { voltage }) => sum + voltage, 0) / usable.length;

  if (isPlateau(usable)) return none({ kind: 'plateau' }, 'undecided');
  if (Math.max(best.error, digitError(usable)) * CLEARLY_BETTER > second.error)
    return none({ kind: 'cannot-tell-model' }, 'undecided');
  if (best.model === 'constant-current') return none({ kind: 'constant-current' }, best.model);
  if (best.model === 'constant-power') return none({ kind: 'converter-running' }, best.model);
  if (best.error > LARGEST_RESIDUAL * mean) return none({ kind: 'does-not-fit', residual: best.error }, 'undecided');

  return describe(readings, usable, logLine, warnings);
}

interface Line {
  readonly intercept: number;
  readonly slope: number;
  readonly scatter: number;
  readonly spread: number;
  readonly meanTime: number;
  readonly count: number;
}

function fitLine(readings: readonly TimedReading[], transform: (voltage: number) => number): Line {
  const count = readings.length;
  const meanTime = readings.reduce((sum, { time }) => sum + time, 0) / count;
  const meanY = readings.reduce((sum, { voltage }) => sum + transform(voltage), 0) / count;
  const spread = readings.reduce((sum, { time }) => sum + (time - meanTime) ** 2, 0);
  const slope =
    readings.reduce((sum, { time, voltage }) => sum + (time - meanTime) * (transform(voltage) - meanY), 0) / spread;
  const intercept = meanY - slope * meanTime;
  const squares = readings.reduce(
    (sum, { time, voltage }) => sum + (transform(voltage) - intercept - slope * time) ** 2,
    0,
  );
  return { intercept, slope, scatter: Math.sqrt(squares / (count - 2)), spread, meanTime, count };
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
  warnings: DischargeWarning[],
): DischargeFit {
  const digitNoise = Math.sqrt(
    usable.reduce((sum, { voltage, resolution }) => sum + ((resolution ?? 0) / Math.sqrt(12) / voltage) ** 2, 0) /
      usable.length,
  );
  const scatter = Math.max(line.scatter, digitNoise);
  const { oneSided, twoSided } = studentT95(line.count - 2);
  const tau = -1 / line.slope;
  const slopeStandard = scatter / Math.sqrt(line.spread);
  const steepest = line.slope - twoSided * slopeStandard;
  const flattest = line.slope + twoSided * slopeStandard;
  const last = Math.max(...usable.map(({ time }) => time));
  const first = Math.min(...usable.map(({ time }) => time));

  const timeTo = (voltage: number) => {
    const time = (line.intercept - Math.log(voltage)) / -line.slope;
    const standard =
      (scatter / Math.abs(line.slope)) * Math.sqrt(1 / line.count + (time - line.meanTime) ** 2 / line.spread);
    return { time, standard, latest: time + oneSided * standard, spans: (time - first) / (last - first) };
  };
  const voltageAt = (time: number) => {
    const center = line.intercept + line.slope * time;
    const standard = scatter * Math.sqrt(1 / line.count + (time - line.meanTime) ** 2 / line.spread);
    return {
      fit: Math.exp(center),
      low: Math.exp(center - twoSided * standard),
      high: Math.exp(center + twoSided * standard),
    };
  };
  return {
    model: 'exponential',
    tau,
    tauLow: -1 / steepest,
    tauHigh: flattest < 0 ? -1 / flattest : Infinity,
    tauStandard: slopeStandard * tau ** 2,
    v0: Math.exp(line.intercept),
    residuals: all.map(({ time, voltage }) => voltage - voltageAt(time).fit),
    voltageAt,
    timeTo,
    warnings,
  };
}

function spanOf(readings: readonly TimedReading[]): number {
  const times = readings.map(({ time }) => time);
  return Math.max(...times) - Math.min(...times);
}

/** The time at which a reading is higher than the one before by more than the meter could mistake. */
function firstRise(readings: readonly TimedReading[]): number | undefined {
  const inOrder = [...readings].sort((a, b) => a.time - b.time);
  return inOrder.find(({ voltage, resolution }, index) => {
    const before = inOrder[index - 1];
    return before !== undefined && voltage > before.voltage + 2 * (resolution ?? 0) + before.voltage * 0.002;
  })?.time;
}

function isPlateau(readings: readonly TimedReading[]): boolean {
  if (readings.length < 4) return false;
  const inOrder = [...readings].sort((a, b) => a.time - b.time);
  const localTau = (a: TimedReading | undefined, b: TimedReading | undefined) => {
    const drop = Math.log((a?.voltage ?? 1) / (b?.voltage ?? 1));
    const noise = ((a?.resolution ?? 0) + (b?.resolution ?? 0)) / (b?.voltage ?? 1);
    return ((b?.time ?? 0) - (a?.time ?? 0)) / Math.max(drop, noise, 1e-9);
  };
  return localTau(inOrder.at(-2), inOrder.at(-1)) > PLATEAU_RATIO * localTau(inOrder[0], inOrder[1]);
}
