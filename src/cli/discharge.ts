import { parseQuantity } from '../core/quantity';
import { dischargeWarningText, FARTHEST_EXTRAPOLATION, fitDischarge, type TimedReading } from '../core/safety';
import { UnusableInput, type CommandLine } from './arguments';

/** The fit of timed readings and the time to a voltage. */
export function discharge({ readings: text, target: targetText }: CommandLine['options']) {
  if (text === undefined) throw new UnusableInput('discharge: --readings "0:310,5:255,10:209" is expected.');
  if (targetText === undefined) throw new UnusableInput('discharge: --target is expected, in volts, such as 50.');
  const readings = text.split(',').map(readingFrom);
  const target = parseQuantity(targetText, 'volt');
  if (!target.ok || target.quantity.value <= 0)
    throw new UnusableInput(`discharge --target: “${targetText}” is not a voltage above zero, such as 50.`);
  const fit = fitDischarge(readings);
  const reached = fit.timeTo?.(target.quantity.value);
  const warnings = fit.warnings.map(dischargeWarningText);
  if (reached && reached.spans > FARTHEST_EXTRAPOLATION)
    warnings.push(dischargeWarningText({ kind: 'far-extrapolation', spans: reached.spans }));
  return {
    ...(fit.tau === undefined ? {} : { tau: fit.tau, tauLow: fit.tauLow, tauHigh: fit.tauHigh, v0: fit.v0 }),
    ...(reached ? { timeToTarget: Math.max(0, reached.time), timeToTargetHigh: Math.max(0, reached.latest) } : {}),
    model: fit.model,
    warnings: warnings.map((warning) => warning.replaceAll('\u00a0', ' ')),
  };
}

function readingFrom(entry: string, index: number): TimedReading {
  const [timeText = '', voltText, ...more] = entry.split(':');
  const time = parseQuantity(timeText, 'second');
  const volts = parseQuantity(voltText ?? '', 'volt');
  if (!time.ok || !volts.ok || more.length > 0)
    throw new UnusableInput(
      `discharge --readings: “${entry.trim()}” (number ${index + 1}) is not seconds:volts, such as 5:255.`,
    );
  const { value, resolution } = volts.quantity;
  return { time: time.quantity.value, voltage: value, resolution };
}
