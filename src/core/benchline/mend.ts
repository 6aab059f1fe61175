import { COLOURS } from './tradeWords';
import { keyOf, MEANINGS, SPELLINGS } from './vocabulary';

const isSentence = (key: string) => {
  const [meaning] = MEANINGS.get(key) ?? [];
  return meaning?.as === 'filler' || (meaning?.as === 'marked' && key !== 'marked' && key !== 'marking');
};
/** Words that a slip of the finger may have been meant for; short ones are too alike. */
const SHORTEST_MENDED = 4;
const MENDABLE = [...MEANINGS.keys()].filter((key) => key.length >= SHORTEST_MENDED && /^\p{L}+$/u.test(key));

/**
 * The phrase of the tables that a mistyped word was meant for: one error in four to six letters, two in more, with
 * neighbours swapped counted as one. Nothing when two different meanings are as near.
 */
export function mended(word: string): string | undefined {
  // Brown is no slip of blown.
  if (COLOURS.test(word)) return undefined;
  const typed = word.toLowerCase();
  if (MENDED.has(typed)) return MENDED.get(typed);
  if (MENDED.size >= MOST_REMEMBERED) MENDED.clear();
  const key = keyOf(word);
  const found = (word.includes(' ') ? undefined : endingOf(key)) ?? meantBy(key);
  MENDED.set(typed, found);
  return found;
}

/** Letters of a word that may end a longer one: a Ringkerndrossel is a Drossel. */
const LEAST_ENDING = 6;

function endingOf(key: string): string | undefined {
  const found = MENDABLE.find(
    (candidate) =>
      candidate.length >= LEAST_ENDING &&
      key.length > candidate.length + 2 &&
      key.endsWith(candidate) &&
      MEANINGS.get(candidate)?.[0]?.as === 'kind',
  );
  return found === undefined ? undefined : SPELLINGS.get(found);
}

/** A line is read again with every key. */
const MENDED = new Map<string, string | undefined>();
const MOST_REMEMBERED = 2000;

function meantBy(key: string): string | undefined {
  if (key.length < SHORTEST_MENDED || !/^\p{L}+$/u.test(key)) return undefined;
  const allowed = key.length <= 6 ? 1 : 2;
  let best: { readonly key: string; readonly distance: number } | undefined;
  let tied = false;
  for (const candidate of MENDABLE) {
    // A word of everyday language is no slip of another one that says nothing.
    if (isSentence(candidate)) continue;
    if (Math.abs(candidate.length - key.length) > allowed) continue;
    const distance = typingErrors(key, candidate, allowed);
    if (distance > allowed) continue;
    if (!best || distance < best.distance) [best, tied] = [{ key: candidate, distance }, false];
    else if (distance === best.distance && !meanTheSame(best.key, candidate)) tied = true;
  }
  return tied || !best ? undefined : SPELLINGS.get(best.key);
}

const meanTheSame = (one: string, other: string) =>
  JSON.stringify(MEANINGS.get(one)?.[0]) === JSON.stringify(MEANINGS.get(other)?.[0]);

/** Letters left out, added, changed or swapped with their neighbour; more than `most` is not counted on. */
export function typingErrors(one: string, other: string, most: number): number {
  const rows: number[][] = [Array.from({ length: other.length + 1 }, (_, index) => index)];
  for (let i = 1; i <= one.length; i += 1) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= other.length; j += 1) {
      const same = one[i - 1] === other[j - 1];
      let cost = Math.min(
        (rows[i - 1]?.[j] ?? 0) + 1,
        (row[j - 1] ?? 0) + 1,
        (rows[i - 1]?.[j - 1] ?? 0) + (same ? 0 : 1),
      );
      if (i > 1 && j > 1 && one[i - 1] === other[j - 2] && one[i - 2] === other[j - 1])
        cost = Math.min(cost, (rows[i - 2]?.[j - 2] ?? 0) + 1);
      row.push(cost);
      least = Math.min(least, cost);
    }
    if (least > most) return most + 1;
    rows.push(row);
  }
  return rows[one.length]?.[other.length] ?? most + 1;
}
