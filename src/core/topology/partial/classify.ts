import { SLOT_CLASSES } from './features';

/** A softmax classifier: for every class a weight for every feature. */
export interface SlotClassifier {
  readonly features: readonly string[];
  /** Row by row, one row for each class of `SLOT_CLASSES`. */
  readonly weights: readonly (readonly number[])[];
}

/** Probability of every class of `SLOT_CLASSES` for a described slot. */
export function classify(
  { features, weights }: SlotClassifier,
  described: Readonly<Record<string, number>>,
): readonly number[] {
  const values = features.map((name) => described[name] ?? 0);
  const scores = weights.map((row) => row.reduce((sum, weight, index) => sum + weight * (values[index] ?? 0), 0));
  const most = Math.max(...scores);
  const raised = scores.map((score) => Math.exp(score - most));
  const total = raised.reduce((sum, value) => sum + value, 0);
  return raised.map((value) => value / total);
}

/** What the other slots of a board are taken for: the expected number of each class among them, for the second reading. */
export function withOthers(
  described: Readonly<Record<string, number>>,
  index: number,
  first: readonly (readonly number[])[],
): Readonly<Record<string, number>> {
  const features: Record<string, number> = { ...described };
  SLOT_CLASSES.forEach((name, at) => {
    const expected = first.reduce((sum, own, other) => sum + (other === index ? 0 : (own[at] ?? 0)), 0);
    features[`others ${name}`] = Math.min(expected, 2) / 2;
    features[`first ${name}`] = first[index]?.[at] ?? 0;
  });
  return features;
}
