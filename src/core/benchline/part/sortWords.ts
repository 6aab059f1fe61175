import { COLOURS } from '../tradeWords';
import { SOURCES } from '../../evidence';
import { kindRule, RATINGS, ratingFromWord, type KindName } from '../../part';
import { parseQuantity, UNITS } from '../../quantity';
import { isReference, kindsOfReference } from '../references';
import type { BenchContext } from '../record';
import { cut, type Token } from '../tokens';
import { isBareNumber, valueOf } from '../values';
import { mended } from '../mend';
import { meaningsOf } from '../vocabulary';
import { type Said, type Question, type Sorted, mayHaveClass } from './said';
import { codeRun } from './codeRun';
import { HAS_GATE, longestPhrase, mendedRun, placeMeaning } from './phrases';
import { firstFrom } from '../sorted';
import { colourRun, takeBands, takeMarking } from './takeMarking';

const OR_WORDS = /^(?:or|ou|oder)$/i;

export function sort(
  tokens: readonly Token[],
  ref: string,
  kind: KindName | undefined,
  context: BenchContext,
): Sorted | Question {
  const sorted: Sorted = {
    kinds: [],
    values: [],
    codes: [],
    pairs: [],
    said: { fitments: [], damage: [], ratings: [] },
    unplaced: [],
    corrected: [],
    marked: '',
    poly: undefined,
    classes: [],
    windings: [],
    source: undefined,
    describes: 0,
    isChip: false,
    legs: undefined,
    speed: '',
  };
  const all = tokens.flatMap((token) => unglued(token, kind ?? kindsOfReference(ref)[0]?.[0]));
  for (let index = 0; index < all.length;) {
    const taken = takeWords(all, index, sorted, { ref, kind, context });
    if (typeof taken !== 'number') return taken;
    index += Math.max(1, taken);
  }
  return sorted;
}

/** `2200uf/16v`, `16v2200`, `10uf400v`, `1000/25`, `MKP-X2` and `5vout` in their parts. */
function unglued(token: Token, kind: KindName | undefined): Token[] {
  const { text } = token;
  const parts =
    /^(\d+[.,]?\d*(?:[uµnp]f?|mfd))\/?(\d+[.,]?\d*k?v)$/i.exec(text) ??
    /^(\d+[.,]?\d*k?v)\/?(\d+[.,]?\d*(?:[uµnp]f?)?)$/i.exec(text) ??
    /^(\d+[.,]?\d*v)(in|out)$/i.exec(text) ??
    /^(\d+[.,]?\d*k?v)\/(\d+[.,]?\d*m?a)$/i.exec(text) ??
    /^([xy][1-4])\/?([xy][1-4])$/i.exec(text) ??
    /^(mk[pt])-?([xy][12])$/i.exec(text);
  if (parts?.[1] && parts[2]) {
    const [one, two] = cut(token, [parts[1], parts[2]]);
    if (!one || !two) return [token];
    // Behind a voltage a bare number on a can is its microfarads.
    const bareFarads = /v$/i.test(one.text) && isBareNumber(two.text);
    if (bareFarads && kind !== 'capacitor') return [token];
    return [one, bareFarads ? { ...two, text: `${two.text}u` } : two];
  }
  const can = /^(\d{1,5}|\d*\.\d+)\/(\d{1,3})v?$/i.exec(text);
  if (can?.[1] && can[2] && kind === 'capacitor') {
    const [farads, volts] = cut(token, [can[1], can[2]]);
    return farads && volts
      ? [
          { ...farads, text: `${farads.text}u` },
          { ...volts, text: `${volts.text}V` },
        ]
      : [token];
  }
  // “2x15mH” is a choke of two windings of 15 mH; “2x” counts and is no value.
  const times = /^[1-4]x(\d.*)$/i.exec(text);
  if (times?.[1] && valueOf(times[1])) return cut(token, [times[1]]);
  return [token];
}

/** Takes one word, or a few that belong together. Returns how many, or what must be asked. */
function takeWords(
  all: readonly Token[],
  index: number,
  sorted: Sorted,
  { ref, kind, context }: { ref: string; kind: KindName | undefined; context: BenchContext },
): number | Question {
  const token = all[index];
  if (!token) return 1;
  const { said } = sorted;
  const lower = token.text.toLowerCase();
  const next = all[index + 1];
  if (/^[=:→-]$/.test(lower) || /^[x×*]$/i.test(lower)) return 1;
  const source = SOURCES.find((name) => name === lower);
  if (source && source !== 'measured') {
    sorted.source = source;
    return 1;
  }
  if (OR_WORDS.test(lower) && next && index > 0 && /\d/.test(all[index - 1]?.text ?? '') && /\d/.test(next.text))
    return {
      problem: {
        kind: 'unclear',
        word: `${all[index - 1]?.text ?? ''} ${token.text} ${next.text}`,
        question: `Which of the two is it?`,
        maybe: [],
      },
      kept: { ...said, ...(kind ? { partKind: kind } : {}) },
    };
  if (lower === 'dated') return takeDate(next, said);
  if (/^LED\d/i.test(ref) && COLOURS.test(lower)) {
    said.technology ??= lower;
    sorted.describes += 1;
    return 1;
  }
  const bands = colourRun(all, index);
  if (bands.length >= 3) return takeBands(bands, sorted) ?? bands.length;
  if (/^[xy][124]$/i.test(lower) && mayHaveClass(ref, kind, sorted)) {
    sorted.classes.push(lower);
    sorted.describes += 1;
    return 1;
  }
  if (/^x\d{1,2}$/i.test(lower) || /^\d{1,2}x$/i.test(lower)) return 1;
  const run = codeRun(all, index, ref, kind ?? sorted.kinds[0]?.meaning.kind);
  if (run) {
    sorted.codes.push(run.token);
    return run.length;
  }
  const pair = next && takePair(token, next, kind ?? kindsOfReference(ref)[0]?.[0], sorted);
  if (pair !== undefined) return pair;
  const letter = kind ?? kindsOfReference(ref)[0]?.[0];
  if (lower === 'gate' && letter !== undefined && HAS_GATE.has(letter)) {
    sorted.unplaced.push(token);
    return 1;
  }
  const phrase = longestPhrase(all, index, kind ?? kindsOfReference(ref)[0]?.[0]);
  if (phrase?.meaning.as === 'marked') {
    const behind = all.slice(index + phrase.length);
    if (behind.length === 0)
      return { problem: { kind: 'value-unreadable', word: token.text, expected: 'the marking behind it' } };
    return phrase.length + takeMarking(behind, sorted);
  }
  if (phrase) {
    placeMeaning(phrase.meaning, token, all[index - 1], sorted);
    return phrase.length;
  }
  const value = valueOf(token.text);
  if (value) {
    sorted.values.push({ token, unit: value.unit, value: value.quantity.value, ambiguous: value.ambiguous });
    return 1;
  }
  if (
    /^\d{2,3}c$/i.test(lower) &&
    (kind ?? kindsOfReference(ref)[0]?.[0]) === 'capacitor' &&
    ['85', '105', '125', '130', '135'].includes(lower.slice(0, -1))
  ) {
    sorted.values.push({ token, unit: 'celsius', value: Number(lower.slice(0, -1)), ambiguous: false });
    return 1;
  }
  if (/^[a-z]-[a-z]$/.test(lower)) return 1;
  if (/^\d{1,3}(?:[.,]\d+)?x\d/i.test(lower) || /^\d+(?:[.,]\d+)?mm$/.test(lower)) return 1;
  if (/^\d{1,2}(?:[-–]\d{1,2})+$/.test(lower)) {
    sorted.windings.push(lower.split(/[-–]/));
    return 1;
  }
  if (/^[+&]$/.test(lower)) return 1;
  if (
    /^\d{1,2}$/.test(lower) &&
    (/^[+x×]$/i.test(next?.text ?? '') || /^(?:pins?|legs?|legged|leads?|windings?)$/i.test(next?.text ?? ''))
  ) {
    if (/^(?:pins?|legs?|legged|leads?)$/i.test(next?.text ?? '')) sorted.legs = Number(lower);
    return 1;
  }
  if (/\d/.test(token.text) || isKnownType(token.text, context)) {
    // What follows a number without a comma, in digits or a few capitals, is still part of it.
    sorted.codes.push(token);
    return 1;
  }
  if (/^[jkmbcdfg]$/i.test(lower) && (sorted.values.length > 0 || sorted.codes.length > 0)) return 1;
  const slip = mendedRun(all, index);
  if (slip) {
    sorted.corrected.push({ typed: slip.typed, read: slip.read });
    placeMeaning(slip.meaning, token, all[index - 1], sorted);
    return slip.length;
  }
  const meant = mended(token.text);
  const [meaning] = meant === undefined ? [] : meaningsOf(meant);
  if (meant !== undefined && meaning) {
    sorted.corrected.push({ typed: token.text, read: meant });
    if (meaning.as === 'marked') return 1 + takeMarking(all.slice(index + 1), sorted);
    placeMeaning(meaning, token, all[index - 1], sorted);
    return 1;
  }
  sorted.unplaced.push(token);
  return 1;
}

function takeDate(next: Token | undefined, said: Said): number | Question {
  const code = next?.text ?? '';
  if (!/^[a-z0-9]{2,6}$/i.test(code))
    return { problem: { kind: 'value-unreadable', word: code || 'dated', expected: 'a date code such as 2314' } };
  said.dateCode = code.toUpperCase();
  return 2;
}

/** A rating by its name: `vds 650V`, `esr 40m`. */
function takePair(
  name: Token,
  value: Token,
  kind: KindName | undefined,
  sorted: Sorted,
): number | undefined | Question {
  if (!kind || !/\d|^ol$/i.test(value.text)) {
    const rating = kind && ratingFromWord(name.text, kind);
    if (rating && kindRule(kind).ratings.includes(rating) && name.text.length > 1 && meaningsOf(name.text).length === 0)
      return {
        problem: {
          kind: 'value-unreadable',
          word: value.text,
          expected: `a ${UNITS[RATINGS[rating].unit].word} such as ${UNITS[RATINGS[rating].unit].example}`,
        },
      };
    return undefined;
  }
  const rating = ratingFromWord(name.text, kind);
  if (!rating || !kindRule(kind).ratings.includes(rating)) return undefined;
  const parsed = parseQuantity(value.text, RATINGS[rating].unit);
  if (!parsed.ok) return undefined;
  sorted.pairs.push({ name, value });
  return 2;
}

/** Whether a word is a number that the shop knows; the list is sorted. */
function isKnownType(word: string, { types = [] }: BenchContext): boolean {
  const wanted = word.toUpperCase();
  return firstFrom(types, wanted) === wanted && !isReference(word);
}
