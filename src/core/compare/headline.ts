import { litres } from './rows';
import type { Subject } from './subject';

const SHARES: readonly (readonly [from: number, words: string])[] = [
  [0.6, 'well over half'],
  [0.48, 'about half'],
  [0.34, 'over a third'],
  [0.22, 'about a quarter'],
  [0.08, 'a little'],
];
const shareWords = (share: number) => SHARES.find(([from]) => share >= from)?.[1];

/** What changed from one to another in a sentence: heat, where it is known of both, and room for each watt. */
export function headline(a: Subject, b: Subject, lost: readonly number[], saved: number): string {
  const [first = 0, last = 0] = [lost[0], lost.at(-1)];
  const share = first > 0 ? saved / first : 0;
  const heat =
    first > 0
      ? share > 0
        ? shareWords(share)
          ? `${shareWords(share) ?? ''} less heat where it is known`
          : 'about the same heat'
        : shareWords(-saved / Math.max(last, 1e-9))
          ? `${shareWords(-saved / Math.max(last, 1e-9)) ?? ''} more heat where it is known`
          : 'about the same heat'
      : '';
  const [one, other] = [a, b].map((subject) => {
    const volume = litres(subject);
    return volume && subject.watts ? volume / subject.watts : undefined;
  });
  const room = one && other ? other / one - 1 : 0;
  const box =
    one && other
      ? Math.abs(room) < 0.05
        ? 'in the same room for each watt'
        : `in ${Math.round(100 * Math.abs(room))} % ${room < 0 ? 'less' : 'more'} room for each watt`
      : '';
  const text = [heat, box].filter((words) => words !== '').join(', ');
  return text === ''
    ? 'Too little is known of both to tell what changed'
    : `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
