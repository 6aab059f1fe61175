import { mended } from './mend';
import { isReference } from './references';
import type { Correction } from './record';
import type { Token } from './tokens';
import { meaningsOf } from './vocabulary';

/** A word of one's own, with the words of the line that it stands for. */
export interface OwnWord {
  readonly word: string;
  readonly means: string;
}

/** A slip that was read as another word, and how often. */
export interface Slip extends Correction {
  readonly count: number;
}

/** So often must a slip be made before it is offered as a word of its own. */
const OFFERED_FROM = 3;
const MOST_SLIPS = 200;

/** Puts what own words stand for in their place; where they stand in the line is kept. */
export function inTheirWords(tokens: readonly Token[], own: readonly OwnWord[] = []): Token[] {
  if (own.length === 0) return [...tokens];
  const known = new Map(own.map(({ word, means }) => [word.toLowerCase(), means.split(/\s+/)]));
  return tokens.flatMap((token) => {
    const means = known.get(token.text.toLowerCase());
    return means
      ? means.map((text, index) => ({ ...token, text, parted: index === means.length - 1 && token.parted }))
      : [token];
  });
}

/**
 * Whether a word may become one's own.
 * @returns what is wrong, in a sentence with what was expected; undefined when nothing is
 */
export function ownWordProblem({ word, means }: OwnWord): { field: 'word' | 'means'; message: string } | undefined {
  if (!/^\p{L}[\p{L}-]{1,29}$/u.test(word))
    return { field: 'word', message: `“${word}” is no word: two to thirty letters are expected, like gubbins.` };
  if (isReference(word) || meaningsOf(word).length > 0)
    return { field: 'word', message: `“${word}” is understood already; a word that is not is expected.` };
  const unknown = means
    .split(/\s+/)
    .find((one) => meaningsOf(one).length === 0 && meaningsOf(means).length === 0 && !/\d/.test(one));
  if (means === '' || unknown !== undefined)
    return {
      field: 'means',
      message: `“${unknown ?? means}” is not understood${unknown && mended(unknown) ? `; is ${mended(unknown)} meant?` : ''} Words that the line knows are expected, like common mode choke.`,
    };
  return undefined;
}

/** The slips with those of one more line counted in; the rarest are forgotten when they grow many. */
export function countSlips(slips: readonly Slip[], corrected: readonly Correction[]): Slip[] {
  const counted = new Map(slips.map((slip) => [slip.typed.toLowerCase(), slip]));
  for (const { typed, read } of corrected) {
    const key = typed.toLowerCase();
    counted.set(key, { typed: key, read, count: (counted.get(key)?.count ?? 0) + 1 });
  }
  return [...counted.values()].sort((a, b) => b.count - a.count).slice(0, MOST_SLIPS);
}

/** Slips made so often that they are offered as words of one's own. */
export function offeredWords(slips: readonly Slip[], own: readonly OwnWord[]): Slip[] {
  return slips.filter(
    ({ typed, read, count }) =>
      count >= OFFERED_FROM &&
      !own.some(({ word }) => word.toLowerCase() === typed) &&
      ownWordProblem({ word: typed, means: read }) === undefined,
  );
}
