import { practice } from '../evidence';
import type { RatingName } from '../part';
import type { Criterion, Readings } from './judgement';
import { remainingLife, type RemainingLife } from './remainingLife';

/** Air at the can where nobody measured it, °C; class of a can that does not say. */
const USUAL = practice({ around: 55, celsius: 105, rippleShare: 0.7 } as const);
const HOURS_A_YEAR = 8766;

/** What is left of an electrolytic by the hours it ran; nothing while those are not known. */
export function lifeOf(readings: Readings, ratings: Partial<Record<RatingName, number>>): RemainingLife | undefined {
  const { hours, around, rippleShare } = readings;
  if (!hours) return undefined;
  return remainingLife({
    ratedHours: ratings.life,
    ratedCelsius: ratings.temperature ?? USUAL.celsius,
    around: around?.value ?? USUAL.around,
    rippleShare: rippleShare?.value ?? USUAL.rippleShare,
    served: hours.value,
  });
}

/** Remaining life as a criterion: it lowers a grade, and never condemns a part that measures well. */
export function lifeCriteria(readings: Readings, ratings: Partial<Record<RatingName, number>>): readonly Criterion[] {
  const life = lifeOf(readings, ratings);
  if (!life) return [];
  const text = lifeText(life);
  if (life.high <= 0) return [{ grade: 'C', text, limits: [{ kind: 'not-for', use: 'ripple' }] }];
  return [{ grade: life.low <= 0 ? 'B' : 'A', text }];
}

/** What is left, in words: hours and years of running, with their bounds. */
export function lifeText({ left, low, high, capped }: RemainingLife): string {
  const show = (hours: number) =>
    Math.abs(hours) >= HOURS_A_YEAR
      ? `${(hours / HOURS_A_YEAR).toFixed(hours < 10 * HOURS_A_YEAR ? 1 : 0)} years`
      : `${Number(hours.toPrecision(2))} h`;
  if (high <= 0) return 'By its hours and heat its life is used up.';
  const range = `${show(Math.max(0, low))} to ${show(high)}`;
  const message =
    left > 0 ? `About ${show(left)} of running left, ${range}` : `Its life may be used up; at best ${show(high)} left`;
  return `${message}${capped ? '; its seal sets the end' : ''}.`;
}
