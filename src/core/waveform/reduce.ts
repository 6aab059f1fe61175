import type { Stretch } from './wave';

export interface WavePoint {
  readonly t: number;
  readonly v: number;
}

/**
 * A recording for the eye: of each of so many equal spans the smallest and the largest value in their order, so that
 * no spike is lost. Cost: one pass.
 */
export function reduceWave({ time, values }: Stretch, spans: number): readonly WavePoint[] {
  const length = values.length;
  if (length <= 2 * spans) return Array.from(values, (v, index) => ({ t: time[index] ?? 0, v }));
  const points: WavePoint[] = [];
  for (let span = 0; span < spans; span += 1) {
    const from = Math.floor((span * length) / spans);
    const to = Math.floor(((span + 1) * length) / spans);
    let [low, high] = [from, from];
    for (let index = from; index < to; index += 1) {
      const value = values[index] ?? 0;
      if (value < (values[low] ?? 0)) low = index;
      if (value > (values[high] ?? 0)) high = index;
    }
    for (const index of low <= high ? [low, high] : [high, low])
      if (points.at(-1)?.t !== time[index]) points.push({ t: time[index] ?? 0, v: values[index] ?? 0 });
  }
  return points;
}
