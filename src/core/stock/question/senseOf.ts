import { keyOf, LONGEST_PHRASE, meaningsOf } from '../../benchline';
import { kindRule, kindsServing } from '../../part';
import { COLOURS, QUESTION_FILLER, WIDE_SENSES, type Sense } from './words';

const WIDE: ReadonlyMap<string, Sense> = new Map(
  WIDE_SENSES.flatMap(([sense, words]) =>
    [sense.word, ...words.split(', ')].map((word) => [keyOf(word), sense] as const),
  ),
);

/** What a phrase says a lot is: by the words of questions, else by those of the bench line, in the plural too. */
export function senseOf(phrase: string): Sense | undefined {
  const wide = WIDE.get(keyOf(phrase));
  if (wide) return wide;
  for (const form of [phrase, phrase.replace(/(?:e?s)$/, ''), phrase.replace(/s$/, '')]) {
    if (form.length < 2) continue;
    const meaning = meaningsOf(form).find(({ as }) => as === 'kind');
    if (meaning?.as !== 'kind') continue;
    const { kind, subtype } = meaning;
    const { label, words } = kindRule(kind);
    return {
      says: subtype ? `${subtype} ${label}` : label,
      word: subtype ?? words[0] ?? kind,
      kinds: subtype ? [kind] : kindsServing(kind),
      ...(subtype ? { variants: [subtype] } : {}),
    };
  }
  return undefined;
}

/** The longest phrase at a place that names a kind, with how many words it has. */
export function longestSense(
  words: readonly string[],
  at: number,
): { readonly sense: Sense; readonly length: number } | undefined {
  for (let length = Math.min(LONGEST_PHRASE, words.length - at); length > 0; length -= 1) {
    const sense = senseOf(
      words
        .slice(at, at + length)
        .join(' ')
        .toLowerCase(),
    );
    if (sense) return { sense, length };
  }
  return undefined;
}

const FILLERS = new Set([...QUESTION_FILLER].map(keyOf));

/** Whether a word belongs to the sentence and says nothing of a part. */
export const isFiller = (word: string): boolean =>
  FILLERS.has(keyOf(word)) || meaningsOf(word.toLowerCase()).some(({ as }) => as === 'filler');

const KNOWN = new Set(WIDE_SENSES.flatMap(([, words]) => words.split(/[, ]+/)));

/** Whether a word is known as it stands, so that it is no slip of another. */
export const isWord = (word: string): boolean => {
  const lower = word.toLowerCase();
  return (
    KNOWN.has(lower) ||
    COLOURS.test(lower) ||
    isFiller(lower) ||
    senseOf(lower) !== undefined ||
    meaningsOf(lower).length > 0
  );
};
