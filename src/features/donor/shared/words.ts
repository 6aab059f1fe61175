import { SOURCES } from '../../../core/evidence';
import type { Evidenced } from '../../../core/evidence';
import { kindRule, RATINGS, type KindName, type RatingName } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';

/** The ratings that tell a part at a glance, in the order of its kind. */
export function ratingSummary(
  kind: KindName,
  ratings: Partial<Record<RatingName, Evidenced>>,
  most = 3,
): { text: string; source: string }[] {
  return kindRule(kind)
    .ratings.filter((name) => name !== 'tolerance' && ratings[name])
    .slice(0, most)
    .map((name) => ({
      text: formatQuantity(ratings[name]?.value ?? 0, RATINGS[name].unit),
      source: ratings[name]?.source ?? '',
    }));
}

/** The weakest evidence among the ratings shown, since a chain is as strong as that. */
export function weakestSource(summary: readonly { source: string }[]): string {
  const order: readonly string[] = SOURCES;
  return summary.map(({ source }) => source).sort((a, b) => order.indexOf(b) - order.indexOf(a))[0] ?? '';
}
