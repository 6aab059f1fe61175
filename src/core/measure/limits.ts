import { RATINGS, type RatingName } from '../part';

/** Uses that a worn or unproven part may be kept from, and that a need may ask for. */
export const USES = {
  mains: { label: 'across or before the mains', not: 'not for mains' },
  switching: { label: 'at switching frequency', not: 'low frequency only' },
  ripple: { label: 'where ripple current is high', not: 'low ripple only' },
  timing: { label: 'where the value sets a time', not: 'not for timing' },
  barrier: { label: 'across the isolation barrier', not: 'not across the barrier' },
  parallel: { label: 'in parallel with its like', not: 'not in parallel' },
  cooling: { label: 'as the only cooling', not: 'not as the only cooling' },
  precision: { label: 'where the value must be exact', not: 'not where the value must be exact' },
} as const;
export type Use = keyof typeof USES;
export const USE_NAMES = Object.keys(USES) as Use[];

/** Whether a text names a use. */
export const isUse = (name: string): name is Use => Object.hasOwn(USES, name);

/** What a part may not be used for, or only to a share of its rating. */
export type Limit =
  | { readonly kind: 'not-for'; readonly use: Use }
  | { readonly kind: 'derated'; readonly rating: RatingName; readonly share: number };

/** A limit in a few words: `low ripple only`, `rated voltage to 80 %`. */
export function limitText(limit: Limit): string {
  if (limit.kind === 'not-for') return USES[limit.use].not;
  return `${RATINGS[limit.rating].label} to ${Math.round(limit.share * 100)} %`;
}

/** Limits of several sources as one list: each use once, of each rating the smallest share. */
export function mergeLimits(limits: readonly Limit[]): readonly Limit[] {
  const uses = [...new Set(limits.flatMap((limit) => (limit.kind === 'not-for' ? [limit.use] : [])))];
  const shares = new Map<RatingName, number>();
  for (const limit of limits)
    if (limit.kind === 'derated') shares.set(limit.rating, Math.min(limit.share, shares.get(limit.rating) ?? 1));
  return [
    ...USE_NAMES.filter((use) => uses.includes(use)).map((use): Limit => ({ kind: 'not-for', use })),
    ...[...shares].map(([rating, share]): Limit => ({ kind: 'derated', rating, share })),
  ];
}

/** Reads stored limits; what cannot be read is dropped. */
export function limitsFrom(stored: unknown): readonly Limit[] {
  if (!Array.isArray(stored)) return [];
  return stored.filter((entry): entry is Limit => {
    if (typeof entry !== 'object' || entry === null) return false;
    const { kind, use, rating, share } = entry as Record<string, unknown>;
    if (kind === 'not-for') return typeof use === 'string' && isUse(use);
    return (
      kind === 'derated' && typeof rating === 'string' && Object.hasOwn(RATINGS, rating) && typeof share === 'number'
    );
  });
}
