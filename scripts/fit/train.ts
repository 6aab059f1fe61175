import { Random } from '../../src/core/topology';

/** One described slot with the class it is of; heavier samples count more. */
export interface Sample {
  readonly features: Readonly<Record<string, number>>;
  readonly label: number;
  readonly weight: number;
}

const EPOCHS = 24;
const BATCH = 64;
const RATE = { first: 0.0126, last: 0.0006 } as const;
/** Shrinks weights, and hides features by chance while fitting: what composed boards alone have in common must not carry the answer. */
const RIDGE = 4e-4;
const HIDDEN = 0.12;

/** Fits a softmax classifier by stochastic gradient descent (Adam); the same samples give the same weights. */
export function train(samples: readonly Sample[], classes: number): { features: string[]; weights: number[][] } {
  const names = Object.keys(samples[0]?.features ?? {});
  const width = names.length;
  const size = classes * width;
  const [weights, mean, spread] = [new Float64Array(size), new Float64Array(size), new Float64Array(size)];
  const rows = samples.map(({ features }) => Float64Array.from(names, (name) => features[name] ?? 0));
  const random = new Random(3);
  let step = 0;
  for (let epoch = 0; epoch < EPOCHS; epoch += 1) {
    const rate = RATE.last + (RATE.first - RATE.last) * (1 - epoch / EPOCHS);
    const order = random.shuffled(rows.map((_, index) => index));
    for (let from = 0; from < order.length; from += BATCH) {
      const gradient = new Float64Array(size);
      let total = 0;
      for (const index of order.slice(from, from + BATCH)) {
        const row = (rows[index] as Float64Array).slice();
        for (let at = 1; at < width; at += 1) if (random.next() < HIDDEN) row[at] = 0;
        const { label, weight } = samples[index] as Sample;
        total += weight;
        const shares = softmax(weights, row, classes);
        for (let kind = 0; kind < classes; kind += 1) {
          const error = weight * ((shares[kind] ?? 0) - (kind === label ? 1 : 0));
          for (let at = 0; at < width; at += 1)
            gradient[kind * width + at] = (gradient[kind * width + at] ?? 0) + error * (row[at] ?? 0);
        }
      }
      step += 1;
      for (let at = 0; at < size; at += 1) {
        const slope = (gradient[at] ?? 0) / total + RIDGE * (weights[at] ?? 0);
        mean[at] = 0.9 * (mean[at] ?? 0) + 0.1 * slope;
        spread[at] = 0.999 * (spread[at] ?? 0) + 0.001 * slope * slope;
        const [drift, size2] = [(mean[at] ?? 0) / (1 - 0.9 ** step), (spread[at] ?? 0) / (1 - 0.999 ** step)];
        weights[at] = (weights[at] ?? 0) - (rate * drift) / (Math.sqrt(size2) + 1e-8);
      }
    }
  }
  return {
    features: names,
    weights: Array.from({ length: classes }, (_, kind) =>
      names.map((_, at) => Math.round((weights[kind * width + at] ?? 0) * 100) / 100),
    ),
  };
}

function softmax(weights: Float64Array, row: Float64Array, classes: number): Float64Array {
  const scores = new Float64Array(classes);
  for (let kind = 0; kind < classes; kind += 1) {
    let score = 0;
    for (let at = 0; at < row.length; at += 1) score += (weights[kind * row.length + at] ?? 0) * (row[at] ?? 0);
    scores[kind] = score;
  }
  const most = Math.max(...scores);
  let total = 0;
  for (let kind = 0; kind < classes; kind += 1) total += scores[kind] = Math.exp((scores[kind] ?? 0) - most);
  return scores.map((value) => value / total);
}
