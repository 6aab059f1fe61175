import { Random } from '../../src/core/topology';
import { SLOT_CLASSES } from '../../src/core/topology/partial/classes';
import { HAND_SIZES, VOICES, type Sizes } from '../../src/core/topology/partial/score';
import type { Sample } from './views';

const EPOCHS = 12;
const BATCH = 512;
const RATE = 0.03;
/** Pull towards the sizes set by hand, against the samples' whole weight. */
const PULL = 9;

/**
 * Learns a size for every voice by maximum likelihood (Adam), drawn towards the sizes set by hand. A size never changes
 * its sign: what would, becomes nothing. The same samples give the same sizes.
 */
export function learn(samples: readonly Sample[]): Sizes {
  const classes = SLOT_CLASSES.length;
  const start = Float64Array.from([...HAND_SIZES.voices, ...HAND_SIZES.common]);
  const sizes = start.slice();
  const on = VOICES.map(({ classes: flags }) => flags.flatMap((flag, index) => (flag === 1 ? [index] : [])));
  const sign = VOICES.map(({ first }) => (first < 0 ? -1 : 1));
  const voices = VOICES.length;
  const total = samples.reduce((sum, { weight }) => sum + weight, 0);
  const [mean, spread] = [new Float64Array(sizes.length), new Float64Array(sizes.length)];
  const scores = new Float64Array(classes);
  const random = new Random(5);
  let step = 0;
  for (let epoch = 0; epoch < EPOCHS; epoch += 1) {
    const order = random.shuffled(samples);
    const rate = RATE * (1 - (0.8 * epoch) / EPOCHS);
    for (let from = 0; from < order.length; from += BATCH) {
      const slope = new Float64Array(sizes.length);
      let weight = 0;
      for (const sample of order.slice(from, from + BATCH)) {
        weight += sample.weight;
        for (let at = 0; at < classes; at += 1) scores[at] = (sample.base[at] ?? 0) + (sizes[voices + at] ?? 0);
        for (const [voice, grade] of sample.voices)
          for (const at of on[voice] ?? []) scores[at] = (scores[at] ?? 0) + (sizes[voice] ?? 0) * grade;
        toErrors(scores, sample);
        for (let at = 0; at < classes; at += 1) slope[voices + at] = (slope[voices + at] ?? 0) + (scores[at] ?? 0);
        for (const [voice, grade] of sample.voices) {
          let error = 0;
          for (const at of on[voice] ?? []) error += scores[at] ?? 0;
          slope[voice] = (slope[voice] ?? 0) + error * grade;
        }
      }
      step += 1;
      for (let at = 0; at < sizes.length; at += 1) {
        const now = sizes[at] ?? 0;
        const pulled = (slope[at] ?? 0) / weight + (PULL / total) * (now - (start[at] ?? 0));
        mean[at] = 0.9 * (mean[at] ?? 0) + 0.1 * pulled;
        spread[at] = 0.999 * (spread[at] ?? 0) + 0.001 * pulled * pulled;
        const drift = (mean[at] ?? 0) / (1 - 0.9 ** step);
        const next = now - (rate * drift) / (Math.sqrt((spread[at] ?? 0) / (1 - 0.999 ** step)) + 1e-8);
        sizes[at] = at >= voices ? next : (sign[at] ?? 1) > 0 ? Math.max(0, next) : Math.min(0, next);
      }
    }
  }
  const rounded = [...sizes].map((value) => Math.round(value * 1000) / 1000);
  return { voices: rounded.slice(0, voices), common: rounded.slice(voices) };
}

/** Turns log-odds into weighted errors of the probabilities, in place. */
function toErrors(scores: Float64Array, { right, weight }: Sample): void {
  const most = Math.max(...scores);
  let total = 0;
  for (let at = 0; at < scores.length; at += 1) total += scores[at] = Math.exp((scores[at] ?? 0) - most);
  for (let at = 0; at < scores.length; at += 1)
    scores[at] = weight * ((scores[at] ?? 0) / total - (at === right ? 1 : 0));
}
