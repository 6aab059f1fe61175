import type { GuideArticle, GuideLine } from './article';
import { ARTICLES } from './articles';

/** A line of the Guide that answers a search. */
export interface GuideHit {
  readonly article: GuideArticle;
  readonly line: GuideLine;
  readonly score: number;
}

const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** How well a word of a search meets a text: whole, at its start, or within. */
function meets(word: string, words: readonly string[]): number {
  if (words.includes(word)) return 3;
  if (words.some((one) => one.startsWith(word) || (word.length > 4 && word.startsWith(one) && one.length > 3)))
    return 2;
  return word.length > 3 && words.some((one) => one.includes(word)) ? 1 : 0;
}

/** Words that name nothing. */
const EMPTY: ReadonlySet<string> = new Set([
  'a',
  'an',
  'the',
  'of',
  'for',
  'to',
  'and',
  'is',
  'what',
  'how',
  'in',
  'on',
  'do',
  'i',
]);
const SHOWN = 40;
/** What a name that is asked for whole is worth more. */
const WHOLE = 3;

/** Lines of the Guide that carry every word of a search, the nearest first; where none carries all, those that carry most. */
export function searchGuide(text: string): readonly GuideHit[] {
  const asked = wordsOf(text).filter((word) => !EMPTY.has(word));
  if (asked.length === 0) return [];
  const hits = ARTICLES.flatMap((article) =>
    article.lines.map((line) => {
      const [name, body, title] = [line.name, `${line.text} ${line.source}`, article.title].map(wordsOf);
      const scores = asked.map((word) =>
        Math.max(3 * meets(word, name ?? []), meets(word, body ?? []), 1.5 * meets(word, title ?? [])),
      );
      return {
        article,
        line,
        found: scores.filter((score) => score > 0).length,
        score: scores.reduce((sum, one) => sum + one, 0) + (name?.every((one) => asked.includes(one)) ? WHOLE : 0),
      };
    }),
  );
  const most = Math.max(0, ...hits.map(({ found }) => found));
  return hits
    .filter(({ found }) => found > 0 && found === most)
    .toSorted((a, b) => b.score - a.score)
    .slice(0, SHOWN)
    .map(({ article, line, score }) => ({ article, line, score }));
}
