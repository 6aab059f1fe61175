import { practice } from '../evidence';

/** Creepage of basic insulation at pollution degree 2, metres by volts rms; IEC 60664-1 (from memory). Reinforced takes twice as much. */
const CREEPAGE_VOLTS = [50, 63, 80, 100, 125, 160, 200, 250, 320, 400, 500, 630, 800, 1000] as const;
const CREEPAGE: Readonly<Record<Material, readonly number[]>> = {
  'ordinary board': [1.2, 1.25, 1.3, 1.4, 1.5, 1.6, 2, 2.5, 3.2, 4, 5, 6.3, 8, 10],
  'CTI 600 and more': [0.6, 0.63, 0.67, 0.71, 0.75, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.2, 4, 5],
};
/** Material groups III and I. */
export const MATERIALS = ['ordinary board', 'CTI 600 and more'] as const;
export type Material = (typeof MATERIALS)[number];

/** Clearance by impulse, inhomogeneous field, pollution degree 2, to 2000 m; IEC 60664-1 (from memory). Kilovolts and millimetres. */
const CLEARANCE: readonly (readonly [kilovolts: number, millimetres: number])[] = [
  [0.5, 0.2],
  [0.8, 0.2],
  [1.2, 0.25],
  [1.5, 0.5],
  [2, 1],
  [2.5, 1.5],
  [3, 2],
  [4, 3],
  [5, 4],
  [6, 5.5],
  [8, 8],
];
/** Impulses that are preferred: reinforced insulation stands the next of them. */
const IMPULSES = [0.33, 0.5, 0.8, 1.5, 2.5, 4, 6, 8, 12] as const;
/** Impulse on the mains by overvoltage category II, kilovolts, up to a voltage to neutral. */
const MAINS: readonly (readonly [volts: number, kilovolts: number])[] = [
  [150, 1.5],
  [300, 2.5],
];
/** What clearance grows by with height, metres; IEC 60664-1 (from memory). */
const HEIGHTS: readonly (readonly [metres: number, factor: number])[] = [
  [2000, 1],
  [3000, 1.14],
  [4000, 1.29],
  [5000, 1.48],
];
/** Below these distances across the barrier of a mains supply nothing is put back into use; common practice, no source. Metres. */
export const BARRIER = practice({
  creepage: 6.4e-3,
  clearance: 4e-3,
  creepageDanger: 5e-3,
  clearanceDanger: 3e-3,
} as const);

/** Creepage that basic insulation needs, metres. @returns undefined above the table */
export function creepage(volts: number, material: Material): number | undefined {
  const row = CREEPAGE[material];
  const at = CREEPAGE_VOLTS.findIndex((one) => volts <= one);
  if (at < 0) return undefined;
  if (at === 0) return row[0]! * 1e-3;
  const [low, high] = [CREEPAGE_VOLTS[at - 1]!, CREEPAGE_VOLTS[at]!];
  return (row[at - 1]! + ((row[at]! - row[at - 1]!) * (volts - low)) / (high - low)) * 1e-3;
}

/** Clearance of basic and reinforced insulation on a mains, metres. @returns undefined above 300 V to neutral or 5000 m */
export function clearance(
  mains: number,
  height = 0,
): { readonly basic: number; readonly reinforced: number } | undefined {
  const impulse = MAINS.find(([volts]) => mains <= volts)?.[1];
  const factor = HEIGHTS.find(([metres]) => height <= metres)?.[1];
  const next = IMPULSES.find((one) => impulse !== undefined && one > impulse);
  if (impulse === undefined || next === undefined || factor === undefined) return undefined;
  const at = (kilovolts: number) => (CLEARANCE.find(([one]) => kilovolts <= one)?.[1] ?? 8) * factor * 1e-3;
  return { basic: at(impulse), reinforced: at(next) };
}

/** Current through capacitors from the mains to what can be touched, amperes rms. */
export const touchCurrent = (of: { readonly farads: number; readonly volts: number; readonly line: number }): number =>
  2 * Math.PI * of.line * of.farads * of.volts;

/** Limits of that current, amperes rms; all from memory. */
export const TOUCH_LIMITS: readonly { readonly amperes: number; readonly source: string }[] = [
  { amperes: 0.25e-3, source: 'IEC 60335-1, appliances of class II; IEC 60950-1, class II' },
  { amperes: 0.5e-3, source: 'IEC 62368-1, ES1' },
  { amperes: 3.5e-3, source: 'IEC 60950-1, movable of class I, with its earth' },
];
/** What the sum is made with: the mains above its name, and capacitors above theirs. */
export const WORST = { volts: 1.1, farads: 1.2 } as const;
