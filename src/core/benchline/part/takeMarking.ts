import { COLOURS } from '../tradeWords';
import { decodeBands } from '../../marking';
import { printedRatings } from './kindOf';
import type { Token } from '../tokens';
import { valueOf } from '../values';
import { meaningsOf } from '../vocabulary';
import type { Sorted } from './said';
import { placeMeaning } from './phrases';

export function colourRun(all: readonly Token[], index: number): Token[] {
  const run: Token[] = [];
  while (COLOURS.test(all[index + run.length]?.text ?? '')) {
    const token = all[index + run.length];
    if (token) run.push(token);
  }
  return run;
}

/** The colours of a resistor's bands. */
export function takeBands(bands: readonly Token[], sorted: Sorted): number | undefined {
  const read = decodeBands(
    bands.map(({ text }) => text.toLowerCase().replace('purple', 'violet').replace('gray', 'grey')),
  );
  const best = read.ok ? read.decodings[0] : undefined;
  if (!best) return undefined;
  for (const [name, value] of printedRatings(best)) sorted.said.ratings.push({ name, value, source: 'decoded' });
  sorted.describes += 1;
  return bands.length;
}

const UNREAD = /^(?:not|no|none|unreadable|illegible|readable|worn|gone|missing|rubbed|sanded|unknown|off)$/i;

/**
 * What stands behind “marked”: all words up to a comma, a case in so many words, or at the end words that no marking
 * ends in. Words in front that name the kind say that.
 */
export function takeMarking(behind: readonly Token[], sorted: Sorted): number {
  let length = behind.findIndex(({ parted }) => parted) + 1;
  if (length === 0) length = behind.length;
  const until = behind.findIndex(
    ({ text }, index) =>
      index > 0 && (/^(?:in|dated)$/i.test(text) || meaningsOf(text).some(({ as }) => as === 'package')),
  );
  if (until > 0) length = Math.min(length, until);
  const text = behind.slice(0, length);
  // A marking in two parts by slashes goes on behind them.
  while (behind[length] && text.at(-1)?.parted && /^(?:\d{3,4}|[A-Z])$/.test(behind[length]?.text ?? '')) {
    const more = behind[length];
    if (more) text.push(more);
    length += 1;
  }
  while (text.length > 1) {
    const last = text.at(-1);
    const meaning =
      last && meaningsOf(last.text).find(({ as }) => as === 'damage' || as === 'block' || as === 'fitment');
    if (!last || !meaning) break;
    placeMeaning(meaning, last, undefined, sorted);
    text.pop();
  }
  while (text.length > 1) {
    const [first] = text;
    const meaning = first && meaningsOf(first.text).find(({ as }) => as === 'kind');
    if (!first || !meaning) break;
    placeMeaning(meaning, first, undefined, sorted);
    text.shift();
  }
  const bands = colourRun(text, 0);
  if (bands.length === text.length && bands.length >= 3 && takeBands(bands, sorted) !== undefined) return length;
  // “marking not readable” is none.
  const isNone = !text.some((token) => /\d/.test(token.text)) && text.some((token) => UNREAD.test(token.text));
  if (isNone) return length;
  sorted.marked = text.map((token) => token.text).join(' ');
  for (const token of text) {
    const value = valueOf(token.text);
    if (value && value.unit !== 'ratio')
      sorted.values.push({
        token,
        unit: value.unit,
        value: value.quantity.value,
        ambiguous: value.ambiguous,
        isPrint: true,
      });
  }
  sorted.describes += 1;
  return length;
}
