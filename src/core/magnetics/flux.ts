import { practice } from '../evidence';
const MU_0 = 4e-7 * Math.PI;
/** Initial permeability of the power ferrites in the table of cores. */
const FERRITE_MU = practice(2200);
/** Flux densities in tesla: a ferrite whose material nobody knows, its limit when hot. */
export const FLUX = practice({ unknownFerrite: 0.2, bridge: 0.15, flyback: 0.25, saturation: 0.39 } as const);

/** Change of flux density by volts over a time: ΔB = V·t/(N·A), tesla. */
export function fluxSwing(of: { volts: number; seconds: number; turns: number; area: number }): number {
  return (of.volts * of.seconds) / (of.turns * of.area);
}

/** Peak flux density of a choke or flyback: B = L·I/(N·A), tesla. */
export function peakFlux(of: { inductance: number; current: number; turns: number; area: number }): number {
  return (of.inductance * of.current) / (of.turns * of.area);
}

/** Turns for a square voltage of both polarities, full cycle: V = 4·f·N·B·A. Not rounded. */
export function squareTurns(of: { volts: number; frequency: number; flux: number; area: number }): number {
  return of.volts / (4 * of.frequency * of.flux * of.area);
}

/** Iron area for a sine: V = 4.44·f·N·B·A, m². */
export function sineArea(of: { volts: number; frequency: number; turns: number; flux: number }): number {
  return of.volts / (Math.SQRT2 * Math.PI * of.frequency * of.turns * of.flux);
}

/** Air gap in metres: lg = µ0·N²·A/L − le/µi. Fringing makes the real inductance 5 to 15 % higher. */
export function gapLength(of: { turns: number; area: number; inductance: number; path: number }): number {
  return (MU_0 * of.turns ** 2 * of.area) / of.inductance - of.path / FERRITE_MU;
}

/** Energy in an air gap, joules: B²·A·lg/(2µ0). */
export function gapEnergy(of: { flux: number; area: number; gap: number }): number {
  return (of.flux ** 2 * of.area * of.gap) / (2 * MU_0);
}

/** Effective permeability that an inductance factor means: AL·le/(µ0·A). */
export function effectivePermeability(of: { inductanceFactor: number; path: number; area: number }): number {
  return (of.inductanceFactor * of.path) / (MU_0 * of.area);
}

/** Inductance factor of a ring in henry per turn²: µ0·µr·h·ln(D/d)/(2π). */
export function ringFactor(of: { outer: number; inner: number; height: number; permeability: number }): number {
  return (MU_0 * of.permeability * of.height * Math.log(of.outer / of.inner)) / (2 * Math.PI);
}

/** Field strength in a ring, A/m: N·I/(π·(D+d)/2). */
export function ringField(of: { turns: number; current: number; outer: number; inner: number }): number {
  return (of.turns * of.current) / ((Math.PI * (of.outer + of.inner)) / 2);
}
