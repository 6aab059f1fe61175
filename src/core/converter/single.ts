import { emptied, rippleVolts, surplusOf } from './pieces';
import { trapezoidRms, triangleRms, withoutMean } from './rms';
import { standing } from './standing';
import type { Conversion, ConversionProblem, Task } from './task';

/** A step-down converter. */
export function buckOf(task: Task): Conversion | ConversionProblem {
  const { input, output, current, frequency: f, inductance: L } = task;
  const { rectifierDrop: vf = 0, switchDrop: vsw = 0 } = task;
  const [on, off] = [input - vsw - output, output + vf];
  if (on <= 0) return { wrong: 'A step-down converter needs more at its input than at its output.' };
  const lasting = off / (on + off);
  const ripple = (on * lasting) / (L * f);
  const boundary = ripple / 2;
  const volts = { ...standing(task), boundary };
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
export function storedOf(task: Task): Conversion | ConversionProblem {
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
  const volts = { ...standing(task), boundary };
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
