import { practice } from '../evidence';
/** Resistivity of copper at 20 °C in ohm metres, and its rise a kelvin. */
const COPPER = { resistivity: 1.724e-8, perKelvin: 0.00393 } as const;
const MU_0 = 4e-7 * Math.PI;
/** Current density by place, A/m². */
export const CURRENT_DENSITY = practice({ transformer: 5e6, choke: 3.5e6, shortOrBlown: 8e6 } as const);

/**
 * Bare diameter of an American wire gauge in metres: d = 0.127 mm · 92^((36−n)/39), ASTM B258.
 * @example gaugeDiameter(20) // 0.8118e-3
 */
export function gaugeDiameter(gauge: number): number {
  return 0.127e-3 * 92 ** ((36 - gauge) / 39);
}

/** The gauge of a bare diameter in metres, with its fraction; ASTM B258. */
export function gaugeOf(diameter: number): number {
  return 36 - (39 * Math.log(diameter / 0.127e-3)) / Math.log(92);
}

/** Cross-section of a round wire, m². */
export function wireArea(diameter: number): number {
  return (Math.PI * diameter ** 2) / 4;
}

/** Resistance of copper wire in ohms at a temperature. */
export function copperResistance(of: { length: number; area: number; celsius?: number }): number {
  const resistivity = COPPER.resistivity * (1 + COPPER.perKelvin * ((of.celsius ?? 20) - 20));
  return (resistivity * of.length) / of.area;
}

/** Skin depth of copper in metres: √(ρ/(π·µ0·f)). */
export function skinDepth(frequency: number, celsius = 20): number {
  const resistivity = COPPER.resistivity * (1 + COPPER.perKelvin * (celsius - 20));
  return Math.sqrt(resistivity / (Math.PI * MU_0 * frequency));
}

/** Strands of a bare diameter that carry a current at a density: A = I/J, rounded up. */
export function strandsFor(of: { rms: number; density: number; diameter: number }): { area: number; strands: number } {
  const area = of.rms / of.density;
  return { area, strands: Math.ceil(area / wireArea(of.diameter) - 1e-9) };
}

/** How full a window is with wires packed square: N·d²/A, with the outer diameter; up to 0.7 fits. */
export function windowFill(of: { turns: number; outerDiameter: number; window: number }): number {
  return (of.turns * of.outerDiameter ** 2) / of.window;
}
