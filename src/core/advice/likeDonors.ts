import { practice } from '../evidence';
/** What one donor gave, for judging the next of its kind. */
export interface PastHarvest {
  readonly kind: string;
  /** Rated watts, when known. */
  readonly power?: number;
  /** Parts taken from it. */
  readonly parts: number;
  /** Minutes it took to open, when someone kept the time. */
  readonly minutes?: number;
}

/** Donors whose power lies within this factor count as like. */
const LIKE_POWER = practice(3);

/** What donors of a kind and like power gave on average, and how long they took to open. */
export function likeDonors(
  past: readonly PastHarvest[],
  of: { kind: string; power?: number | undefined },
): { parts: { parts: number; donors: number }; minutes?: { minutes: number; donors: number } } {
  const like = past.filter(({ kind, power }) => {
    if (kind !== of.kind) return false;
    if (power === undefined || of.power === undefined) return true;
    return power / of.power <= LIKE_POWER && of.power / power <= LIKE_POWER;
  });
  const harvested = like.filter(({ parts }) => parts > 0);
  const timed = like.flatMap(({ minutes }) => (minutes === undefined ? [] : [minutes]));
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  return {
    parts: {
      parts: harvested.length === 0 ? 0 : mean(harvested.map(({ parts }) => parts)),
      donors: harvested.length,
    },
    ...(timed.length === 0 ? {} : { minutes: { minutes: mean(timed), donors: timed.length } }),
  };
}
