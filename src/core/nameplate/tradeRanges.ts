import type { UnitKindName } from '../unit';

/** Figures of the trade that nameplates are held against. Where no standard is named: common practice, no source. */

interface DensityRange {
  readonly build: string;
  /** Kinds of unit that are built so. */
  readonly kinds: readonly UnitKindName[];
  /** The years in which such builds were sold new. */
  readonly years: readonly [number, number];
  readonly perLitre: readonly [number, number];
  readonly perKilogram?: readonly [number, number];
}

const ADAPTERS = ['plug-top', 'desk-brick', 'usb-charger', 'battery-charger', 'lamp-driver', 'dc-module'] as const;
const BOXES = ['internal', 'open-frame', 'battery-charger', 'appliance-board'] as const;

/** Power per volume (W/L) and per mass (W/kg) by build. */
export const DENSITY_RANGES: readonly DensityRange[] = [
  {
    build: 'iron transformer with linear regulator',
    kinds: ['plug-top', 'desk-brick', 'battery-charger', 'lamp-driver', 'appliance-board', 'open-frame'],
    years: [1960, 2012],
    perLitre: [10, 40],
    perKilogram: [15, 40],
  },
  {
    build: 'open-frame or PC supply before 2000',
    kinds: BOXES,
    years: [1980, 2000],
    perLitre: [60, 130],
    perKilogram: [60, 120],
  },
  { build: 'PC supply after 2000', kinds: BOXES, years: [2000, 2100], perLitre: [120, 350] },
  {
    build: 'closed brick without a fan',
    kinds: ADAPTERS,
    years: [1998, 2100],
    perLitre: [250, 500],
    perKilogram: [150, 300],
  },
  {
    build: 'closed brick of the nineties',
    kinds: ADAPTERS,
    years: [1990, 2008],
    perLitre: [80, 250],
    perKilogram: [80, 200],
  },
  {
    build: 'gallium nitride charger',
    kinds: ADAPTERS,
    years: [2018, 2100],
    perLitre: [700, 1800],
    perKilogram: [350, 800],
  },
  { build: 'fan-cooled server module', kinds: ['internal', 'open-frame'], years: [2000, 2100], perLitre: [1000, 4000] },
];

/** Densest build without a fan; a closed unit that claims more claims too much. */
export const DENSEST_WITHOUT_FAN = 1800;

/** Power factor by input stage; 75 W is the class D threshold of IEC 61000-3-2, 25 W that of lighting, class C (from memory). */
export const POWER_FACTOR = {
  withoutCorrection: 0.55,
  withCorrection: 0.97,
  correctionFromWatts: 75,
  lightingFromWatts: 25,
} as const;

/** Whether an input stage of such power is likely corrected. */
export function isCorrected(power: number, lighting = false): boolean {
  return power >= (lighting ? POWER_FACTOR.lightingFromWatts : POWER_FACTOR.correctionFromWatts);
}

/** Efficiency assumed without a mark. */
export const ASSUMED_EFFICIENCY = { underFiveWatts: 0.7, usual: 0.85, fromHundredWatts: 0.9 } as const;

/** Mains tolerance upward and downward, as factors. */
export const MAINS_HIGH = 1.1;
export const MAINS_LOW = 0.9;

/** What counts as the sums agreeing, and as optimistic or beyond belief. */
export const AGREEMENT = { rounding: 0.05, optimistic: 1.1, unbelievable: 1.5 } as const;

/**
 * Inlets with the current they carry, in amperes. Source: IEC 60320-1 (from memory); North American
 * ratings of the same shapes are higher and count at 100 to 127 V.
 */
export const INLETS = {
  C1: { label: 'C1, shaver', amperes: 0.2, atLowMains: 0.2 },
  C5: { label: 'C5, three-leaf', amperes: 2.5, atLowMains: 10 },
  C7: { label: 'C7, figure of eight', amperes: 2.5, atLowMains: 10 },
  C9: { label: 'C9', amperes: 6, atLowMains: 10 },
  C13: { label: 'C13/C14, kettle shape', amperes: 10, atLowMains: 15 },
  C15: { label: 'C15/C16, hot kettle shape', amperes: 10, atLowMains: 15 },
  C19: { label: 'C19/C20, large', amperes: 16, atLowMains: 20 },
  'plug-top': { label: 'pins of its own plug', amperes: 16, atLowMains: 15 },
} as const;
export type InletName = keyof typeof INLETS;
export const INLET_NAMES = Object.keys(INLETS) as InletName[];

/** Current that a flexible cable carries, by copper cross-section in m². After IEC 60245 and 60227 flexible cords (from memory). */
export const CABLE_AMPERES: readonly { readonly area: number; readonly amperes: number }[] = [
  { area: 0.5e-6, amperes: 3 },
  { area: 0.75e-6, amperes: 6 },
  { area: 1e-6, amperes: 10 },
  { area: 1.5e-6, amperes: 16 },
  { area: 2.5e-6, amperes: 25 },
  { area: 4e-6, amperes: 32 },
];

/**
 * Share of a fuse's rating that a sound design draws at most at full load: usually the fuse is 1.5 to
 * 3 times the rated current, so it bounds the power only from above.
 */
export const FUSE_SHARE = 0.8;

/** Least reservoir behind the bridge in farads per watt of input: one that runs from 100 V, one for 230 V only, one after correction. */
export const BULK_PER_WATT = { wide: 1.5e-6, highOnly: 1e-6, corrected: 0.5e-6 } as const;
