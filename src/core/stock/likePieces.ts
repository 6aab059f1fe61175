import type { Evidenced } from '../evidence';
import type { KindName, RatingName } from '../part';

/** What makes pieces in the drawers like a part: their main value, else their number, else their case. */
export type Likeness = { readonly kind: KindName } & (
  | { readonly by: 'value'; readonly rating: RatingName; readonly low: number; readonly high: number }
  | { readonly by: 'marking'; readonly marking: string }
  | { readonly by: 'package'; readonly package: string | null }
);

/** The rating that a passive part is called by. */
export const MAIN_VALUES: readonly RatingName[] = ['resistance', 'capacitance', 'inductance'];

/** A main value within this share counts as like: neighbours in the E24 series are ten percent apart. */
const LIKE_WITHIN = 0.05;

/** What pieces must share with a part to be more of the same. */
export function likenessOf(part: {
  readonly kind: KindName;
  readonly marking?: string | null;
  readonly package?: string | null;
  readonly ratings: Partial<Record<RatingName, Evidenced>>;
}): Likeness {
  const { kind } = part;
  for (const rating of MAIN_VALUES) {
    const value = part.ratings[rating]?.value;
    if (value !== undefined)
      return { kind, by: 'value', rating, low: value * (1 - LIKE_WITHIN), high: value * (1 + LIKE_WITHIN) };
  }
  if (part.marking) return { kind, by: 'marking', marking: part.marking };
  return { kind, by: 'package', package: part.package ?? null };
}

/** The main value in which two lots are not alike, or which only one of them knows; none when they are more of the same. */
export function apartInValue(
  a: { readonly kind: KindName; readonly ratings: Partial<Record<RatingName, Evidenced>> },
  b: { readonly ratings: Partial<Record<RatingName, Evidenced>> },
): RatingName | undefined {
  const like = likenessOf(a);
  if (like.by !== 'value') return MAIN_VALUES.find((rating) => b.ratings[rating] !== undefined);
  const value = b.ratings[like.rating]?.value;
  return value === undefined || value < like.low || value > like.high ? like.rating : undefined;
}
