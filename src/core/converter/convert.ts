import { trapezoidRms, triangleRms, withoutMean } from './rms';

/** Converters whose sums are worked out here; ideal and in the steady state. */
export const TOPOLOGIES = [
  'buck',
  'boost',
  'inverting',
  'sepic',
  'cuk',
  'flyback',
  'forward',
  'two-switch-forward',
  'push-pull',
  'half-bridge',
  'full-bridge',
] as const;
export type Topology = (typeof TOPOLOGIES)[number];

/** What a converter is asked for, and the parts it has. Volts, amperes, hertz, henry, farad, ohm. */
export interface Task {
  readonly topology: Topology;
  readonly input: number;
  /** Size of the output. */
  readonly output: number;
  readonly current: number;
  readonly frequency: number;
  /** The choke; of a flyback its primary. SEPIC and Ćuk take two of the same. */
  readonly inductance: number;
  /** Primary turns for one of the secondary. */
  readonly turns?: number;
  /** Drop of the rectifier and of the switch. */
  readonly rectifierDrop?: number;
  readonly switchDrop?: number;
  /** Of a flyback: what comes out of what goes in. */
  readonly efficiency?: number;
  readonly outputCapacitance?: number;
  readonly outputEsr?: number;
}

/** What its currents and voltages come to. */
export interface Conversion {
  readonly mode: 'continuous' | 'discontinuous';
  /** On-time of one switch by the frequency; and the share in which the choke runs empty, where it does. */
  readonly duty: number;
  readonly fall?: number;
  /** Of the choke, or the primary of a flyback: mean over the period (a flyback: while the switch is on), rise, peak, rms. */
  readonly mean: number;
  readonly ripple: number;
  readonly peak: number;
  readonly rms: number;
  readonly switchVolts: number;
  readonly switchPeak: number;
  readonly switchRms: number;
  readonly rectifierVolts: number;
  readonly rectifierMean: number;
  readonly rectifierRms: number;
  readonly rectifierPeak: number;
  /** Ripple currents, rms. */
  readonly inputCapacitorRms: number;
  readonly outputCapacitorRms: number;
  /** Of a SEPIC or a Ćuk: the capacitor between, and the volts across it. */
  readonly linkRms?: number;
  readonly linkVolts?: number;
  /** Ripple at the output, peak to peak: by the charge that goes in and out, and by the ESR. */
  readonly chargeRipple?: number;
  readonly esrRipple?: number;
  /** Output current above which the choke never runs empty. */
  readonly boundary: number;
  /** Zero in the right half of the plane: the loop must cross well below it, hertz. */
  readonly rightZero?: number;
}

/** Why there is no such converter. */
export interface ConversionProblem {
  readonly wrong: string;
}

/**
 * Works a converter out. Equations: FORMULAS of the trade after Erickson & Maksimovic, chapters 2, 5 and 6 (from memory).
 * @returns what it comes to, or which condition is not met
 */
export function convert(task: Task): Conversion | ConversionProblem {
  switch (task.topology) {
    case 'buck':
      return buckOf(task);
    case 'boost':
    case 'inverting':
    case 'sepic':
    case 'cuk':
      return storedOf(task);
    case 'flyback':
      return flybackOf(task);
    default:
      return dividedOf(task);
  }
}

function buckOf(task: Task): Conversion | ConversionProblem {
  const { input, output, current, frequency: f, inductance: L } = task;
  const { rectifierDrop: vf = 0, switchDrop: vsw = 0 } = task;
  const [on, off] = [input - vsw - output, output + vf];
  if (on <= 0) return { wrong: 'A step-down converter needs more at its input than at its output.' };
  const lasting = off / (on + off);
  const ripple = (on * lasting) / (L * f);
  const boundary = ripple / 2;
  const volts = { switchVolts: input + vf, rectifierVolts: input - vsw, boundary };
  if (current >= boundary) {
    const mean = current;
    const outputRms = ripple / Math.sqrt(12);
    const switchRms = trapezoidRms(lasting, mean, ripple);
    return {
      ...volts,
      mode: 'continuous',
      duty: lasting,
      mean,
      ripple,
      peak: mean + ripple / 2,
      rms: trapezoidRms(1, mean, ripple),
      switchPeak: mean + ripple / 2,
      switchRms,
      rectifierMean: mean * (1 - lasting),
      rectifierRms: trapezoidRms(1 - lasting, mean, ripple),
      rectifierPeak: mean + ripple / 2,
      inputCapacitorRms: withoutMean(switchRms, mean * lasting),
      outputCapacitorRms: outputRms,
      ...rippleVolts(task, ripple / (8 * f), ripple),
    };
  }
  const duty = Math.sqrt((2 * L * f * current) / (on * (1 + on / off)));
  const peak = (on * duty) / (L * f);
  const fall = (peak * L * f) / off;
  return {
    ...volts,
    ...emptied({ duty, fall, peak }),
    mean: current,
    inputCapacitorRms: withoutMean(triangleRms(duty, peak), (peak * duty) / 2),
    outputCapacitorRms: withoutMean(triangleRms(duty + fall, peak), current),
    ...rippleVolts(task, surplusOf(peak, current, (duty + fall) / f), peak),
  };
}

/** Converters whose choke is filled from the input and emptied into the output: boost, inverting, SEPIC, Ćuk. */
function storedOf(task: Task): Conversion | ConversionProblem {
  const { topology, input, output, current, frequency: f } = task;
  const { rectifierDrop: vf = 0, switchDrop: vsw = 0 } = task;
  const isBoost = topology === 'boost';
  const isPair = topology === 'sepic' || topology === 'cuk';
  // Two chokes fill and empty together: they count as both beside each other.
  const L = isPair ? task.inductance / 2 : task.inductance;
  const [on, off] = [input - vsw, output + vf - (isBoost ? input : 0)];
  if (off <= 0) return { wrong: 'A step-up converter needs more at its output than at its input.' };
  const lasting = off / (on + off);
  const rise = (on * lasting) / (L * f);
  const boundary = (rise / 2) * (1 - lasting);
  const stands = isBoost ? output + vf : input + output + vf;
  const volts = { switchVolts: stands, rectifierVolts: stands - vf - (isBoost ? vsw : 0), boundary };
  const load = output / current;
  if (current >= boundary) {
    const duty = lasting;
    const mean = current / (1 - duty);
    const peak = mean + rise / 2;
    const switchRms = trapezoidRms(duty, mean, rise);
    const rectifierRms = trapezoidRms(1 - duty, mean, rise);
    const share = isPair ? rise / 2 : rise;
    const first = topology === 'boost' ? mean : isPair ? (current * duty) / (1 - duty) : mean;
    const zero = (load * (1 - duty) ** 2) / (2 * Math.PI * L * (isBoost ? 1 : duty));
    const isSmooth = topology === 'cuk';
    return {
      ...volts,
      mode: 'continuous',
      duty,
      mean: first,
      ripple: share,
      peak: first + share / 2,
      rms: trapezoidRms(1, first, share),
      switchPeak: peak,
      switchRms,
      rectifierMean: current,
      rectifierRms,
      rectifierPeak: peak,
      inputCapacitorRms: topology === 'inverting' ? withoutMean(switchRms, mean * duty) : share / Math.sqrt(12),
      outputCapacitorRms: isSmooth ? share / Math.sqrt(12) : withoutMean(rectifierRms, current),
      ...(isPair
        ? {
            linkRms: Math.sqrt(trapezoidRms(1 - duty, first, share) ** 2 + trapezoidRms(duty, current, share) ** 2),
            linkVolts: topology === 'cuk' ? input + output : input,
          }
        : {}),
      ...(isSmooth ? rippleVolts(task, share / (8 * f), share) : rippleVolts(task, (current * duty) / f, peak)),
      rightZero: zero,
    };
  }
  const duty = Math.sqrt(2 * L * f * current * off) / on;
  const peak = (on * duty) / (L * f);
  const fall = (peak * L * f) / off;
  const rectifierRms = triangleRms(fall, peak);
  const isSmooth = topology === 'cuk';
  const share = (duty + fall) * (isPair ? 0.5 : 1);
  const mean = (peak * (isBoost ? duty + fall : duty)) / 2;
  return {
    ...volts,
    ...emptied({ duty, fall, peak }),
    mean,
    ...(isPair ? besideAnother({ mean, swing: peak / 2, share: duty + fall }) : {}),
    inputCapacitorRms: isPair
      ? alternatingRms(peak / 2, duty + fall)
      : withoutMean(triangleRms(isBoost ? duty + fall : duty, peak), mean),
    outputCapacitorRms: isSmooth ? alternatingRms(peak / 2, duty + fall) : withoutMean(rectifierRms, current),
    ...(isSmooth
      ? rippleVolts(task, (peak * share) / (8 * f), peak / 2)
      : rippleVolts(task, surplusOf(peak, current, fall / f), peak)),
  };
}

/** A triangle over a share of the period without its mean, rms. */
const alternatingRms = (swing: number, share: number): number =>
  withoutMean(triangleRms(share, swing), (swing * share) / 2);

/** One of two chokes that run empty together: what flows round through both of them goes on. */
function besideAnother({
  mean,
  swing,
  share,
}: {
  readonly mean: number;
  readonly swing: number;
  readonly share: number;
}) {
  const rest = mean - (swing * share) / 2;
  return { ripple: swing, peak: rest + swing, rms: Math.hypot(mean, alternatingRms(swing, share)) };
}

function flybackOf(task: Task): Conversion | ConversionProblem {
  const { input, output, current, frequency: f, inductance: L, turns: n = 1, rectifierDrop: vf = 0 } = task;
  const { efficiency = 1, switchDrop: vsw = 0 } = task;
  const power = (output * current) / efficiency;
  const [on, off] = [input - vsw, n * (output + vf)];
  const lasting = off / (on + off);
  const boundary = (((on * lasting) ** 2 / (2 * L * f)) * efficiency) / output;
  const volts = { switchVolts: input + off, rectifierVolts: input / n + output, boundary };
  if (current >= boundary) {
    const mean = power / (on * lasting);
    const ripple = (on * lasting) / (L * f);
    const peak = mean + ripple / 2;
    const rectifierRms = n * trapezoidRms(1 - lasting, mean, ripple);
    const rectifierMean = n * mean * (1 - lasting);
    const rms = trapezoidRms(lasting, mean, ripple);
    return {
      ...volts,
      mode: 'continuous',
      duty: lasting,
      mean,
      ripple,
      peak,
      rms,
      switchPeak: peak,
      switchRms: rms,
      rectifierMean,
      rectifierRms,
      rectifierPeak: n * peak,
      inputCapacitorRms: withoutMean(rms, mean * lasting),
      outputCapacitorRms: withoutMean(rectifierRms, rectifierMean),
      ...rippleVolts(task, (current * lasting) / f, n * peak),
      rightZero: (n ** 2 * (output / current) * (1 - lasting) ** 2) / (2 * Math.PI * lasting * L),
    };
  }
  const peak = Math.sqrt((2 * power) / (L * f));
  const duty = (peak * L * f) / on;
  const fall = (peak * L * f) / off;
  const rectifierRms = triangleRms(fall, n * peak);
  const rectifierMean = (n * peak * fall) / 2;
  const rms = triangleRms(duty, peak);
  return {
    ...volts,
    ...emptied({ duty, fall, peak }),
    mean: peak / 2,
    rms,
    rectifierMean,
    rectifierRms,
    rectifierPeak: n * peak,
    inputCapacitorRms: withoutMean(rms, (peak * duty) / 2),
    outputCapacitorRms: withoutMean(rectifierRms, rectifierMean),
    ...rippleVolts(task, surplusOf(n * peak, current, fall / f), n * peak),
  };
}

/** How a converter with a transformer and a choke behind it drives that choke. */
const DIVIDED = {
  forward: { pulses: 1, winding: 1, most: 0.5, standsInputs: 2, rectifier: 1 },
  'two-switch-forward': { pulses: 1, winding: 1, most: 0.5, standsInputs: 1, rectifier: 1 },
  'push-pull': { pulses: 2, winding: 1, most: 0.5, standsInputs: 2, rectifier: 2 },
  'half-bridge': { pulses: 2, winding: 0.5, most: 0.5, standsInputs: 1, rectifier: 2 },
  'full-bridge': { pulses: 2, winding: 1, most: 0.5, standsInputs: 1, rectifier: 2 },
} as const;

/** Converters that divide the input by a transformer before a choke; with a centre tap where they work both ways. */
function dividedOf(task: Task): Conversion | ConversionProblem {
  const { topology, input, output, current, frequency: f, inductance: L, turns: n = 1 } = task;
  const { rectifierDrop: vf = 0, switchDrop: vsw = 0 } = task;
  const { pulses, winding, most, standsInputs, rectifier } = DIVIDED[topology as keyof typeof DIVIDED];
  const driven = ((input - vsw) * winding) / n;
  const duty = (output + vf) / driven / pulses;
  if (duty >= most)
    return {
      wrong: `The duty would be ${duty.toFixed(2)} for each switch, and ${most} is the end: more volts at the input or fewer primary turns are needed.`,
    };
  const ripple = ((output + vf) * (1 - pulses * duty)) / (pulses * f * L);
  const boundary = ripple / 2;
  const flat = current / n;
  const isBothWays = pulses === 2;
  const half = trapezoidRms(1, current, ripple);
  const rectifierRms = isBothWays
    ? Math.sqrt(trapezoidRms(duty, current, ripple) ** 2 + trapezoidRms(1 - 2 * duty, current / 2, ripple / 2) ** 2)
    : half * Math.sqrt(1 - duty);
  const switchRms = trapezoidRms(duty, flat, ripple / n);
  const primaryRms = topology === 'push-pull' ? switchRms : switchRms * Math.sqrt(pulses);
  const drawn = topology === 'half-bridge' ? flat * duty : flat * duty * pulses;
  return {
    mode: current >= boundary ? 'continuous' : 'discontinuous',
    duty,
    mean: current,
    ripple,
    peak: current + ripple / 2,
    rms: primaryRms,
    switchVolts: standsInputs * input,
    switchPeak: (current + ripple / 2) / n,
    switchRms,
    rectifierVolts: (rectifier * input * winding) / n,
    rectifierMean: isBothWays ? current / 2 : current * (1 - duty),
    rectifierRms,
    rectifierPeak: current + ripple / 2,
    inputCapacitorRms: withoutMean(topology === 'half-bridge' ? switchRms : switchRms * Math.sqrt(pulses), drawn),
    outputCapacitorRms: ripple / Math.sqrt(12),
    ...rippleVolts(task, ripple / (8 * pulses * f), ripple),
    boundary,
  };
}

/** What is the same in all whose choke runs empty. */
const emptied = ({ duty, fall, peak }: { readonly duty: number; readonly fall: number; readonly peak: number }) => ({
  mode: 'discontinuous' as const,
  duty,
  fall,
  ripple: peak,
  peak,
  rms: triangleRms(duty + fall, peak),
  switchPeak: peak,
  switchRms: triangleRms(duty, peak),
  rectifierMean: (peak * fall) / 2,
  rectifierRms: triangleRms(fall, peak),
  rectifierPeak: peak,
});

/** Charge that a triangle brings above what is taken from it meanwhile, coulomb. */
const surplusOf = (peak: number, taken: number, seconds: number): number =>
  peak > taken ? ((peak - taken) ** 2 / peak) * (seconds / 2) : 0;

function rippleVolts(
  { outputCapacitance, outputEsr }: Task,
  charge: number,
  amperes: number,
): { readonly chargeRipple?: number; readonly esrRipple?: number } {
  return {
    ...(outputCapacitance ? { chargeRipple: charge / outputCapacitance } : {}),
    ...(outputEsr === undefined ? {} : { esrRipple: amperes * outputEsr }),
  };
}
