import type { Source } from '../evidence';
import { kindRule, RATINGS, ratingFromUnit, ratingFromWord, type KindName, type RatingName } from '../part';
import { parseQuantity, UNITS, type Unit } from '../quantity';
import type { TypedRating } from './record';

/** Shorthand without a unit, such as 4k7 or 82u, is read as the main value of these kinds. */
const MAIN_VALUE: Partial<Record<KindName, RatingName>> = {
  resistor: 'resistance',
  potentiometer: 'resistance',
  capacitor: 'capacitance',
  inductor: 'inductance',
  'common-mode-choke': 'inductance',
  thermistor: 'r25',
  fuse: 'current',
};

/**
 * The rating that one word of a line carries for a kind: `400V`, `82u`, `105C`, `5%`.
 * @returns undefined when the word is no rating
 */
export function ratingFromToken(token: string, kind: KindName, source: Source): TypedRating | undefined {
  if (/^±?\d+([.,]\d+)?%$/.test(token))
    return { name: 'tolerance', value: Number(token.replace(/[±%]/g, '').replace(',', '.')) / 100, source };
  const main = MAIN_VALUE[kind];
  const mainUnit = main && RATINGS[main].unit;
  for (const name of kindRule(kind).ratings) {
    const { unit } = RATINGS[name];
    if (unit === mainUnit || unit === 'ratio') continue;
    if (endsInUnit(token, unit)) {
      const parsed = parseQuantity(token, unit);
      if (parsed.ok) return { name: ratingFromUnit(kind, unit) ?? name, value: parsed.quantity.value, source };
    }
  }
  if (main && mainUnit) {
    const parsed = parseQuantity(token, mainUnit);
    if (parsed.ok) return { name: main, value: parsed.quantity.value, source };
  }
  return undefined;
}

/** The rating that two words carry: its name and its value, `vds 650V`. */
export function ratingFromPair(
  name: string,
  value: string,
  kind: KindName,
  source: Source,
): TypedRating | { expected: string } | undefined {
  const rating = ratingFromWord(name, kind);
  if (!rating || !kindRule(kind).ratings.includes(rating)) return undefined;
  const { unit } = RATINGS[rating];
  const parsed = parseQuantity(value, unit);
  return parsed.ok
    ? { name: rating, value: parsed.quantity.value, source }
    : { expected: `a ${UNITS[unit].word} such as ${UNITS[unit].example}` };
}

function endsInUnit(token: string, unit: Unit): boolean {
  return /\d/.test(token) && UNITS[unit].spellings.some((spelling) => token.toLowerCase().endsWith(spelling));
}
