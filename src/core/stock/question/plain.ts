import { practice } from '../../evidence';
import { RATINGS, type KindName, type RatingName } from '../../part';
import type { Comparison } from '../filter';

/** Figures that name a part: it is about that value, within such a share. What is not here is a limit. */
const ABOUT = practice<Partial<Record<RatingName, number>>>({
  resistance: 0.05,
  inductance: 0.05,
  r25: 0.1,
  vz: 0.05,
  vout: 0.05,
  vn: 0.1,
  acVoltage: 0.05,
  primary: 0.08,
  size: 0.05,
  pitch: 0.05,
  diameter: 0.05,
  height: 0.1,
  turnsRatio: 0.1,
  pins: 0.02,
});
/** Capacitance as it is marked: electrolytics have wide tolerances. */
const CAPACITANCE_WITHIN = practice({ electrolytic: 0.2, other: 0.1 } as const);
/** From here up a capacitor is an electrolytic unless another is named. */
const MOSTLY_ELECTROLYTIC_FROM = practice(1e-6);
/** Kinds that a plain figure of one of their ratings names. */
const NAMED_BY: Partial<Record<RatingName, Partial<Record<KindName, number>>>> = {
  voltage: practice({ relay: 0.08, fan: 0.08, transformer: 0.08 }),
  current: practice({ fuse: 0.05 }),
  power: practice({ resistor: 0.05 }),
};

/** What a figure without a sign or word of comparison means for a rating: about it, or a limit. */
export function plainMeaning(
  rating: RatingName,
  kind: KindName | undefined,
  variants: readonly string[] | undefined,
  value: number,
): { readonly comparison: Comparison; readonly within?: number } {
  if (rating === 'capacitance') {
    const isElectrolytic = variants ? variants.includes('electrolytic') : value >= MOSTLY_ELECTROLYTIC_FROM;
    return { comparison: 'about', within: isElectrolytic ? CAPACITANCE_WITHIN.electrolytic : CAPACITANCE_WITHIN.other };
  }
  const within = ABOUT[rating] ?? (kind && NAMED_BY[rating]?.[kind]);
  if (within !== undefined) return { comparison: 'about', within };
  return { comparison: RATINGS[rating].better === 'lower' ? 'at-most' : 'at-least' };
}

/** “Around” a figure that is a limit otherwise. */
export const AROUND = practice(0.2);
