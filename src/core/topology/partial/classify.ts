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
