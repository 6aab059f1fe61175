import { practice } from '../evidence';
/** One quantity of a recording, sample by sample. */
export interface Channel {
  readonly name: string;
  /** As the file prints it, such as `V`; empty when it does not. */
  readonly unit: string;
  /** In the base unit: millivolts have become volts. */
  readonly values: Float64Array;
}

/** A recording of an oscilloscope: seconds, and one channel or two. */
export interface Wave {
  readonly time: Float64Array;
  readonly channels: readonly Channel[];
}

/** Values of a channel between two moments, with their times. */
export interface Stretch {
  readonly time: Float64Array;
  readonly values: Float64Array;
}

/** What an oscilloscope's scales promise: volts, and time. Standard uncertainties. */
export const SCOPE = practice({ volts: 0.03 / Math.sqrt(3), time: 1e-4 / Math.sqrt(3) } as const);

/** Why a stretch does not give what was asked. */
export interface WaveFailure {
  readonly kind: 'failure';
  readonly message: string;
}

/** The part of a channel that lies between two moments; all of it without them. */
export function stretchOf(wave: Wave, channel: number, from = -Infinity, to = Infinity): Stretch {
  const values = wave.channels[channel]?.values ?? new Float64Array();
  const first = lowerBound(wave.time, from);
  const last = lowerBound(wave.time, to);
  const end = last < wave.time.length && wave.time[last] === to ? last + 1 : last;
  return { time: wave.time.subarray(first, end), values: values.subarray(first, end) };
}

/** Index of the first time that is not before a moment. Cost: logarithmic. */
export function lowerBound(time: Float64Array, moment: number): number {
  let [low, high] = [0, time.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((time[middle] ?? Infinity) < moment) low = middle + 1;
    else high = middle;
  }
  return low;
}
