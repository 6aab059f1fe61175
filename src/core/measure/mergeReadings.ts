import type { Measured, MeterAccuracies, Reading, Readings } from './judgement';

/** One session with the meter, as it was recorded. */
export interface MeasuredSet {
  readonly values: Readonly<Record<string, Measured>>;
  readonly inCircuit: boolean;
  readonly meter?: MeterAccuracies | undefined;
}

/**
 * The readings that count, of all that were taken: of each field the newest that was taken out of circuit, else the
 * newest in circuit.
 * @param sets newest first
 * @param isClear whether the traced board adds nothing to a field that was read in circuit
 */
export function mergeReadings(
  sets: readonly MeasuredSet[],
  isClear: (field: string) => boolean = () => false,
): Readings {
  const merged: Record<string, Reading> = {};
  for (const { values, inCircuit, meter } of sets)
    for (const [name, measured] of Object.entries(values)) {
      const before = merged[name];
      const disturbed = inCircuit && !isClear(name);
      if (before && !(before.inCircuit === true && !disturbed)) continue;
      merged[name] = { ...measured, ...(disturbed ? { inCircuit: true } : {}), ...(meter ? { meter } : {}) };
    }
  return merged;
}
