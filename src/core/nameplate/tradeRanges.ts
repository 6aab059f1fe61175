/** Power per volume (W/L) and per mass (W/kg) by build. Source: common practice, no source. */
export const DENSITY_RANGES = [
  { build: 'iron transformer with linear regulator', perLitre: [10, 40], perKilogram: [15, 40] },
  { build: 'open-frame or PC supply before 2000', perLitre: [60, 130], perKilogram: [60, 120] },
  { build: 'PC supply after 2000', perLitre: [120, 350], perKilogram: undefined },
  { build: 'closed brick without a fan', perLitre: [250, 500], perKilogram: [150, 300] },
  { build: 'gallium nitride charger', perLitre: [700, 1800], perKilogram: [350, 800] },
  { build: 'fan-cooled server module', perLitre: [1000, 4000], perKilogram: undefined },
] as const;

/** Densest build without a fan; a closed unit that claims more claims too much. */
export const DENSEST_WITHOUT_FAN = 1800;

/** Power factor by input stage. Source: common practice, no source; 75 W is the class D threshold of IEC 61000-3-2 (from memory). */
export const POWER_FACTOR = {
  withoutCorrection: 0.55,
  withCorrection: 0.97,
  correctionFromWatts: 75,
} as const;

/** Efficiency assumed without a mark. Source: common practice, no source. */
export const ASSUMED_EFFICIENCY = { underFiveWatts: 0.7, usual: 0.85, fromHundredWatts: 0.9 } as const;

/** Mains tolerance upward, as a factor. Source: common practice, no source. */
export const MAINS_HIGH = 1.1;

/** What counts as the sums agreeing, and as optimistic or beyond belief. Source: common practice, no source. */
export const AGREEMENT = { rounding: 0.05, optimistic: 1.1, unbelievable: 1.5 } as const;
