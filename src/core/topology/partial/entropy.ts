/** Entropy of probabilities, in bits. */
export const entropyOf = (probabilities: readonly number[]): number =>
  probabilities.reduce((sum, p) => (p > 1e-9 ? sum - p * Math.log2(p) : sum), 0);

/** Entropy of what is so with a probability, and else not, in bits. */
export const binaryEntropy = (p: number): number => entropyOf([p, 1 - p]);

/** Information of probabilities against those that were believed before, in bits. */
export const divergence = (probabilities: readonly number[], before: readonly number[]): number =>
  probabilities.reduce(
    (sum, p, index) => (p > 1e-9 ? sum + p * Math.log2(p / Math.max(1e-6, before[index] ?? 0)) : sum),
    0,
  );
