import type { Evidenced } from '../evidence';
import { kindRule, RATINGS, type KindName, type RatingName } from '../part';
import { formatQuantity, type Unit } from '../quantity';

const MAIN_UNITS: readonly Unit[] = ['ohm', 'farad', 'henry'];

/** What a lot is called: its number, or what it is worth by: `10 kΩ resistor`, `68 µF 450 V capacitor`. */
export function lotTitle(of: {
  kind: KindName;
  marking: string;
  ratings: Partial<Record<RatingName, Evidenced>>;
}): string {
  if (of.marking !== '') return of.marking;
  const { label, ratings } = kindRule(of.kind);
  const said = (units: readonly Unit[]) => {
    const name = ratings.find((one) => units.includes(RATINGS[one].unit) && of.ratings[one]);
    return name && formatQuantity(of.ratings[name]?.value ?? 0, RATINGS[name].unit);
  };
  return [said(MAIN_UNITS), of.kind === 'resistor' ? undefined : said(['volt']), label].filter(Boolean).join(' ');
}
