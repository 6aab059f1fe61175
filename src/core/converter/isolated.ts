import { emptied, rippleVolts, surplusOf } from './pieces';
import { trapezoidRms, triangleRms, withoutMean } from './rms';
import { standing } from './standing';
import type { Conversion, ConversionProblem, Task } from './task';

/** A flyback: its transformer stores in one part of the period and delivers in the other. */
export function flybackOf(task: Task): Conversion | ConversionProblem {
  const { input, output, current, frequency: f, inductance: L, turns: n = 1, rectifierDrop: vf = 0 } = task;
  const { efficiency = 1, switchDrop: vsw = 0 } = task;
  const power = (output * current) / efficiency;
  const [on, off] = [input - vsw, n * (output + vf)];
  const lasting = off / (on + off);
  const boundary = (((on * lasting) ** 2 / (2 * L * f)) * efficiency) / output;
  const volts = { ...standing(task), boundary };
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
  forward: { pulses: 1, winding: 1, most: 0.5 },
  'two-switch-forward': { pulses: 1, winding: 1, most: 0.5 },
  'push-pull': { pulses: 2, winding: 1, most: 0.5 },
  'half-bridge': { pulses: 2, winding: 0.5, most: 0.5 },
  'full-bridge': { pulses: 2, winding: 1, most: 0.5 },
} as const;

/** Converters that divide the input by a transformer before a choke; with a centre tap where they work both ways. */
export function dividedOf(task: Task): Conversion | ConversionProblem {
  const { topology, input, output, current, frequency: f, inductance: L, turns: n = 1 } = task;
  const { rectifierDrop: vf = 0, switchDrop: vsw = 0 } = task;
  const { pulses, winding, most } = DIVIDED[topology as keyof typeof DIVIDED];
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
    ...standing(task),
    switchPeak: (current + ripple / 2) / n,
    switchRms,
    rectifierMean: isBothWays ? current / 2 : current * (1 - duty),
    rectifierRms,
    rectifierPeak: current + ripple / 2,
    inputCapacitorRms: withoutMean(topology === 'half-bridge' ? switchRms : switchRms * Math.sqrt(pulses), drawn),
    outputCapacitorRms: ripple / Math.sqrt(12),
    ...rippleVolts(task, ripple / (8 * pulses * f), ripple),
    boundary,
  };
}
