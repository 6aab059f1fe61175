import { practice } from '../evidence';
import { CAUSE_NAMES, type CauseName } from './causes';
import { PHRASES, PLAIN_PHRASES } from './phrases';
import type { Weigh } from './rule';

/** Words that are in any phrase. */
const EMPTY = new Set(
  'a an the of on in at to is are was were it its and or but with for by as has have had from that this all any so then there their be been when one out up off i my you'.split(
    ' ',
  ),
);
/** They turn round what follows them. */
const TURNS = new Set(['no', 'not', 'nothing', 'never', 'without', 'none', 'hardly']);
const isTurning = (word: string): boolean => TURNS.has(word) || word.endsWith("n't");
/** How many words behind it a “not” reaches. */
const REACH = 2;

const stemOf = (word: string): string => {
  for (const end of ['ing', 'ed', 'es', 's'])
    if (word.endsWith(end) && word.length - end.length >= 3) return word.slice(0, -end.length);
  return word;
};

/**
 * What a text is compared by: the stems of its words, each once, with the first word of each; numbers are all alike, and what is
 * denied stands apart.
 */
function wordsIn(text: string): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  let turned = 0;
  for (const [word] of text.toLowerCase().matchAll(/[a-z]+(?:[-'][a-z]+)?|\d+/gu)) {
    const isTurn = isTurning(word);
    if (!isTurn && !EMPTY.has(word)) {
      const stem = /\d/u.test(word) ? '#' : stemOf(word);
      const [key, said] = turned > 0 ? [`not ${stem}`, `not ${word}`] : [stem, word];
      if (!found.has(key)) found.set(key, said);
    }
    turned = isTurn ? REACH : Math.max(0, turned - 1);
  }
  return found;
}

/** Phrases that each word is counted in besides, with and without its cause: what was seen once or twice says little. */
const SMOOTH = practice(1);
/**
 * How much of what single words say counts, as they are not independent of each other nor of what is read out of the whole:
 * a share of the logarithm, less in texts of more words than so many, and so much at least and at most. Fitted by leaving
 * phrases out.
 */
const COUNTS = practice({ share: 0.3, words: 5, least: -0.8, most: 2 });

/** What the words of a text say of causes. */
export interface Lexicon {
  /** @returns by cause, the natural logarithm of how many times likelier the words are there than on average, and the words that say most of it */
  readonly of: (text: string) => ReadonlyMap<CauseName, { readonly log: number; readonly words: readonly string[] }>;
}

/**
 * A lexicon out of phrases: words are taken as independent of each other (naive Bayes; Manning, Raghavan and Schütze,
 * “Introduction to Information Retrieval”, 2008, chapter 13), each cause's frequencies drawn to those of all phrases.
 */
export function lexiconOf(
  phrases: Readonly<Record<CauseName, readonly string[]>>,
  plain: readonly string[] = PLAIN_PHRASES,
): Lexicon {
  const all = new Map<string, number>();
  const own = new Map<CauseName, ReadonlyMap<string, number>>();
  let count = 0;
  const take = (texts: readonly string[]) => {
    const here = new Map<string, number>();
    for (const text of texts) {
      count += 1;
      for (const word of wordsIn(text).keys()) {
        here.set(word, (here.get(word) ?? 0) + 1);
        all.set(word, (all.get(word) ?? 0) + 1);
      }
    }
    return here;
  };
  for (const name of CAUSE_NAMES) own.set(name, take(phrases[name]));
  take(plain);
  return {
    of: (text) => {
      const words = [...wordsIn(text)].filter(([stem]) => all.has(stem));
      const said = CAUSE_NAMES.map((name) => {
        const logs = words.map(([stem, word]) => {
          const expected = ((all.get(stem) ?? 0) * phrases[name].length) / count;
          return { word, log: Math.log(((own.get(name)?.get(stem) ?? 0) + SMOOTH) / (expected + SMOOTH)) };
        });
        return { name, logs, log: logs.reduce((sum, one) => sum + one.log, 0) };
      });
      const mean = Math.log(said.reduce((sum, { log }) => sum + Math.exp(log), 0) / said.length);
      return new Map(
        said.map(({ name, logs, log }) => [
          name,
          {
            log: log - mean,
            words: logs
              .filter((one) => one.log > 0)
              .toSorted((a, b) => b.log - a.log)
              .slice(0, 3)
              .map(({ word }) => word),
          },
        ]),
      );
    },
  };
}

let known: Lexicon | undefined;
/** The lexicon of all phrases, made when it is first asked. */
const lexicon = (): Lexicon => (known ??= lexiconOf(PHRASES));

/** What the words of a text say of causes, where nothing may be known of the sentence. */
export function weighWords(text: string, weigh: Weigh): void {
  const share = COUNTS.share * Math.min(1, Math.sqrt(COUNTS.words / text.trim().split(/\s+/u).length));
  for (const [name, { log, words }] of lexicon().of(text))
    weigh(
      name,
      Math.exp(Math.min(COUNTS.most, Math.max(COUNTS.least, share * log))),
      words.length > 0
        ? `“${text.trim()}”, by its words ${words.map((word) => `“${word}”`).join(', ')}`
        : `“${text.trim()}”, by its words`,
    );
}
