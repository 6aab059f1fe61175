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
  const order = ['measured', 'datasheet', 'decoded', 'remembered', 'typical', 'guessed'];
  return summary.map(({ source }) => source).sort((a, b) => order.indexOf(b) - order.indexOf(a))[0] ?? '';
}

/** A day as people write it on a label: `14 Nov`; the year when it is another than that of `now`. */
export function dayOf(moment: number, now: number): string {
  const date = new Date(moment);
  const sameYear = date.getFullYear() === new Date(now).getFullYear();
  return date.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', ...(sameYear ? {} : { year: 'numeric' }) });
}

/** The time of day: `14:01`. */
export function clockOf(moment: number): string {
  return new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** How long ago, in words that need no sum: `11 min ago`, `3 days ago`. */
export function agoOf(moment: number, now: number): string {
  const minutes = Math.max(0, Math.round((now - moment) / 60000));
  if (minutes < 2) return 'just now';
  if (minutes < 120) return `${minutes} min ago`;
  if (minutes < 48 * 60) return `${Math.round(minutes / 60)} h ago`;
  return `${Math.round(minutes / 60 / 24)} days ago`;
}
