import { differenceInMinutes, format, isSameYear } from 'date-fns';

/** A day as people write it on a label: `14 Nov`; the year when it is another than that of `now`. */
export function dayOf(moment: number, now?: number): string {
  return format(moment, now !== undefined && isSameYear(moment, now) ? 'd MMM' : 'd MMM yyyy');
}

/** The time of day: `14:01`. */
export function clockOf(moment: number): string {
  return format(moment, 'HH:mm');
}

/** How long ago, in words that need no sum: `11 min ago`, `3 days ago`. */
export function agoOf(moment: number, now: number): string {
  const minutes = Math.max(0, differenceInMinutes(now, moment, { roundingMethod: 'round' }));
  if (minutes < 2) return 'just now';
  if (minutes < 120) return `${minutes} min ago`;
  if (minutes < 48 * 60) return `${Math.round(minutes / 60)} h ago`;
  return `${Math.round(minutes / 60 / 24)} days ago`;
}
