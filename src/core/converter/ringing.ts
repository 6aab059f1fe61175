/** What rings at a switch: capacitance, inductance, and the resistance they act as together. */
export interface Ring {
  readonly capacitance: number;
  readonly inductance: number;
  readonly impedance: number;
}

/**
 * What rings, from the frequency alone and with a capacitor added; ringing-frequency method of makers’ notes (from memory).
 * @returns undefined where the added capacitor did not slow it
 */
export function ringOf(of: {
  readonly alone: number;
  readonly added: number;
  readonly slowed: number;
}): Ring | undefined {
  const slower = (of.alone / of.slowed) ** 2 - 1;
  if (!(slower > 0)) return undefined;
  const capacitance = of.added / slower;
  const inductance = 1 / ((2 * Math.PI * of.alone) ** 2 * capacitance);
  return { capacitance, inductance, impedance: Math.sqrt(inductance / capacitance) };
}

/**
 * The least damped swing left of a ring with a resistor and a capacitor in series across it: how much of each swing is left by the next.
 * The roots of the third-order network L, C ∥ (R + Cs) are found by Newton from the ring itself.
 */
export function damped(ring: Ring, snubber: { readonly ohms: number; readonly farads: number }) {
  const { inductance: L, capacitance: C } = ring;
  const { ohms: R, farads: S } = snubber;
  // s³·L·C·R·S + s²·L·(C + S) + s·R·S + 1 = 0, in units of the ring’s own frequency.
  const own = 1 / Math.sqrt(L * C);
  const [a, b, c] = [R * S * own, 1 + S / C, R * S * own];
  let [re, im] = [-0.05, 1 / Math.sqrt(1 + S / C / 2)];
  for (let turn = 0; turn < 200; turn += 1) {
    const [r2, i2] = [re * re - im * im, 2 * re * im];
    const [r3, i3] = [r2 * re - i2 * im, r2 * im + i2 * re];
    const f = [a * r3 + b * r2 + c * re + 1, a * i3 + b * i2 + c * im] as const;
    const d = [3 * a * r2 + 2 * b * re + c, 3 * a * i2 + 2 * b * im] as const;
    const size = d[0] ** 2 + d[1] ** 2;
    const step = [(f[0] * d[0] + f[1] * d[1]) / size, (f[1] * d[0] - f[0] * d[1]) / size] as const;
    re -= step[0];
    im -= step[1];
    if (Math.hypot(step[0], step[1]) < 1e-13) break;
  }
  const swings = Math.abs(im);
  return {
    /** Of a swing, what is left one period later; nothing where it does not swing any more. */
    left: swings < 1e-6 || re >= 0 ? 0 : Math.exp((2 * Math.PI * re) / swings),
    /** Per second, and radians per second. */
    decay: -re * own,
    swing: swings * own,
  };
}

/** Heat of a snubber’s resistor. */
export const snubberHeat = (of: {
  readonly farads: number;
  readonly volts: number;
  readonly frequency: number;
}): number => of.farads * of.volts ** 2 * of.frequency;

/**
 * A clamp of resistor, capacitor and diode over a primary; sum of makers’ notes (from memory).
 * @returns undefined where the clamp is not above what the output reflects
 */
export function clampOf(of: {
  readonly leakage: number;
  readonly peak: number;
  readonly frequency: number;
  readonly reflected: number;
  readonly clamp: number;
  readonly ripple: number;
}) {
  if (of.clamp <= of.reflected) return undefined;
  const leaked = (of.leakage * of.peak ** 2 * of.frequency) / 2;
  const heat = (leaked * of.clamp) / (of.clamp - of.reflected);
  const ohms = of.clamp ** 2 / heat;
  return { leaked, heat, ohms, farads: 1 / (of.ripple * ohms * of.frequency) };
}
