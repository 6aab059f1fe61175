import { triangleRms } from './rms';
import type { Task } from './task';

/** What is the same in all whose choke runs empty. */
export const emptied = ({
  duty,
  fall,
  peak,
}: {
  readonly duty: number;
  readonly fall: number;
  readonly peak: number;
}) => ({
  mode: 'discontinuous' as const,
  duty,
  fall,
  ripple: peak,
  peak,
  rms: triangleRms(duty + fall, peak),
  switchPeak: peak,
  switchRms: triangleRms(duty, peak),
  rectifierMean: (peak * fall) / 2,
  rectifierRms: triangleRms(fall, peak),
  rectifierPeak: peak,
});

/** Charge that a triangle brings above what is taken from it meanwhile, coulomb. */
export const surplusOf = (peak: number, taken: number, seconds: number): number =>
  peak > taken ? ((peak - taken) ** 2 / peak) * (seconds / 2) : 0;

/** Ripple at the output by charge and by ESR, as far as both are given. @param charge coulomb; `amperes` peak to peak */
export function rippleVolts(
  { outputCapacitance, outputEsr }: Task,
  charge: number,
  amperes: number,
): { readonly chargeRipple?: number; readonly esrRipple?: number } {
  return {
    ...(outputCapacitance ? { chargeRipple: charge / outputCapacitance } : {}),
    ...(outputEsr === undefined ? {} : { esrRipple: amperes * outputEsr }),
  };
}
