/** What two capacitors in series come to that the two halves of the wave charge in turn, volts. */
export interface Doubled {
  /** Of one of them: what it is charged to, and the least it falls to. */
  readonly crest: number;
  readonly least: number;
  /** Of both together. */
  readonly highest: number;
  readonly lowest: number;
  readonly mean: number;
}

const STEPS = 1500;
const PERIODS = 6;

/**
 * A mains doubler under a constant power, stepped through until it repeats: each capacitor follows the wave while that is higher, and
 * gives P/(V₁ + V₂) else. Source resistance and the drops of the rectifiers are left out.
 * @param of power in watts, farads of each, rms volts, hertz
 * @returns undefined where the charge does not last from crest to crest
 */
export function doubled(of: {
  readonly power: number;
  readonly capacitance: number;
  readonly volts: number;
  readonly hertz: number;
}): Doubled | undefined {
  const crest = of.volts * Math.SQRT2;
  const step = 1 / (of.hertz * STEPS);
  let [one, other] = [crest, crest];
  let [least, highest, lowest, sum] = [crest, 0, 2 * crest, 0];
  for (let at = 1; at <= STEPS * PERIODS; at += 1) {
    const wave = crest * Math.sin((2 * Math.PI * at) / STEPS);
    const taken = ((of.power / (one + other)) * step) / of.capacitance;
    [one, other] = [Math.max(one - taken, wave), Math.max(other - taken, -wave)];
    if (one <= 0 || other <= 0) return undefined;
    if (at <= STEPS * (PERIODS - 1)) continue;
    const both = one + other;
    least = Math.min(least, one);
    highest = Math.max(highest, both);
    lowest = Math.min(lowest, both);
    sum += both;
  }
  return { crest, least, highest, lowest, mean: sum / STEPS };
}
