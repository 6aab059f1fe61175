import type { SetApart } from './decoding';

/** A run of a text's words, read as one number, with what stood beside it. */
export interface Span {
  /** The words joined. */
  readonly text: string;
  readonly apart: readonly SetApart[];
  /** Belief left after what stood beside it, 0 to 1. */
  readonly weight: number;
}

const MOST_WORDS = 6;
/** A date code beside other words is seldom the number. */
const DATE_AS_NUMBER = 0.4;
/** Year and week, 1970 to 2039. */
const YEAR_WEEK = /^(?:[7-9]\d|[0-3]\d)(?:0[1-9]|[1-4]\d|5[0-3])$/;

/** Whether a word may be a date code of year and week. */
export function isYearWeek(word: string): boolean {
  return YEAR_WEEK.test(word);
}

/** Longest run first: the words of a text that may form one number, and what they leave beside them. */
export function spansOf(text: string): Span[] {
  const words = text.split(' ').slice(0, MOST_WORDS);
  if (words.length === 1) return [{ text, apart: [], weight: 1 }];
  const spans: Span[] = [];
  for (let count = words.length; count >= 1; count -= 1)
    for (let start = 0; start + count <= words.length; start += 1) {
      const joined = words.slice(start, start + count).join('');
      const beside = [...words.slice(0, start), ...words.slice(start + count)];
      spans.push({
        text: joined,
        apart: beside.map(setApart),
        // A maker's letters or a date are no evidence against a reading; other text beside it is a little.
        weight:
          beside.reduce((left, word) => left * besideWeight(word), 0.97 ** (count - 1)) *
          (beside.length > 0 && isYearWeek(joined) ? DATE_AS_NUMBER : 1),
      });
    }
  return spans;
}

function setApart(word: string): SetApart {
  return { text: word, as: isYearWeek(word) ? 'date code' : 'maker or lot' };
}

function besideWeight(word: string): number {
  if (isYearWeek(word)) return 0.99;
  if (/^[A-Z]{1,4}$/.test(word)) return 0.97;
  // A word of letters and digits that is left over may be the number itself.
  return /^[A-Z]+$/.test(word) ? 0.9 : 0.6;
}
