/**
 * A boost stage that makes the current follow the mains; equations of makers’ notes for such stages (from memory).
 * Volts rms at the input, watts at the input, hertz, volts at the output.
 */
export interface Corrector {
  readonly lowest: number;
  readonly power: number;
  readonly output: number;
}

/** With a choke that never runs empty: its inductance for a ripple, as a share of the peak of the line current. */
export function lastingCorrector(
  { lowest, power, output }: Corrector,
  {
    frequency,
    ripple,
    efficiency = 1,
  }: { readonly frequency: number; readonly ripple: number; readonly efficiency?: number },
) {
  const linePeak = (Math.SQRT2 * power) / lowest;
  const duty = 1 - (Math.SQRT2 * lowest) / output;
  const swing = ripple * linePeak;
  const share = (8 * Math.SQRT2 * lowest) / (3 * Math.PI * output);
  const rms = power / lowest;
  const current = (power * efficiency) / output;
  const rectifierRms = rms * Math.sqrt(share);
  return {
    linePeak,
    rms,
    duty,
    swing,
    inductance: (Math.SQRT2 * lowest * duty) / (frequency * swing),
    peak: linePeak + swing / 2,
    switchRms: rms * Math.sqrt(1 - share),
    rectifierMean: current,
    rectifierRms,
    capacitorRms: Math.sqrt(Math.max(0, rectifierRms ** 2 - current ** 2)),
    capacitorLineRms: current / Math.SQRT2,
  };
}

/** At the boundary: the largest inductance that keeps a lowest frequency at an input, and the peak of its current. */
export const boundaryCorrector = (
  { power, output }: Pick<Corrector, 'power' | 'output'>,
  { volts, frequency }: { readonly volts: number; readonly frequency: number },
) => ({
  inductance: (volts ** 2 * (output - Math.SQRT2 * volts)) / (2 * frequency * power * output),
  peak: (2 * Math.SQRT2 * power) / volts,
});

/** Ripple of the bulk at twice the line frequency, peak to peak. */
export const lineRipple = (of: {
  readonly current: number;
  readonly line: number;
  readonly capacitance: number;
}): number => of.current / (2 * Math.PI * of.line * of.capacitance);

/** Seconds that a bulk carries a power from one voltage to another. */
export const holdUp = (of: {
  readonly capacitance: number;
  readonly from: number;
  readonly to: number;
  readonly power: number;
}): number => (of.capacitance * (of.from ** 2 - of.to ** 2)) / (2 * of.power);
