/**
 * Tolerance letters after a value, as a fraction.
 * Source: IEC 60062 (from memory). `A` and asymmetric letters belong to the capacitor decoder.
 */
export const TOLERANCE_LETTERS: Readonly<Record<string, number>> = {
  L: 0.0001,
  P: 0.0002,
  W: 0.0005,
  B: 0.001,
  C: 0.0025,
  D: 0.005,
  F: 0.01,
  G: 0.02,
  H: 0.03,
  J: 0.05,
  K: 0.1,
  M: 0.2,
  N: 0.3,
};
