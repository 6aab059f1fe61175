import { SOURCES, type Source } from '../evidence';
import { decodeBands } from '../marking';
import { TESTS } from '../measure';
import {
  kindRule,
  packageRule,
  RATINGS,
  ratingFromUnit,
  ratingFromWord,
  type BlockName,
  type DutyName,
  type FitmentName,
  type KindName,
  type RatingName,
} from '../part';
import { parseQuantity, UNITS, type Unit } from '../quantity';
import { decided, decodingsAs, kindFromMarking, printedRatings, statedKind, type DecidedKind } from './kindOf';
import { isReference, kindsOfReference } from './references';
import type { BenchContext, BenchProblem, BenchRecord, ContextPart, Correction, TypedRating } from './record';
import { cut, merged, type Token } from './tokens';
import { isBareNumber, shorthandOf, valueOf } from './values';
import { LONGEST_PHRASE, meaningsOf, mended, type Meaning } from './vocabulary';

/** What the words of a line say of a part. */
export interface Said {
  subtype?: string;
  package?: string;
  marking?: string;
  technology?: string;
  dateCode?: string;
  block?: BlockName;
  duty?: DutyName;
  fitments: FitmentName[];
  damage: string[];
  ratings: TypedRating[];
  windings?: readonly (readonly string[])[];
}

/** A part as it was read, with what could not be placed. */
export interface ReadPart {
  readonly partKind: KindName;
  readonly said: Said;
  /** Whether the words name the kind or describe the part, rather than only give values. */
  readonly describes: boolean;
  readonly placed: number;
  readonly unplaced: readonly Token[];
  readonly corrected: readonly Correction[];
}

/** What must be asked before anything is sure, with what may be kept meanwhile. */
export interface Question {
  readonly problem: BenchProblem;
  readonly kept?: Said & { readonly partKind?: KindName };
}

/** A small m as the point means milliohms, a large one megohms: 5m0 is no 5 MΩ. */
const MILLIOHMS = /^\d{1,3}m\d{0,2}$/;
/** Shorthand without a unit, such as 4k7 or 82u, is read as the main value of these kinds. */
const MAIN_VALUE: Partial<Record<KindName, RatingName>> = {
  resistor: 'resistance',
  potentiometer: 'resistance',
  capacitor: 'capacitance',
  inductor: 'inductance',
  'common-mode-choke': 'inductance',
  transformer: 'inductance',
  thermistor: 'r25',
  fuse: 'current',
};

type KindMeaning = Extract<Meaning, { as: 'kind' }>;

/** Words sorted by what they may be, before the kind of the part is known. */
interface Sorted {
  readonly kinds: { meaning: KindMeaning; token: Token; placedBy: Token | undefined; isFirst: boolean }[];
  readonly values: { token: Token; unit: Unit; value: number; ambiguous: boolean }[];
  /** Runs of text that may be the number or the value of a part. */
  readonly codes: Token[];
  readonly pairs: { name: Token; value: Token }[];
  readonly said: Said;
  readonly unplaced: Token[];
  readonly corrected: Correction[];
  marked: string;
  poly: Token | undefined;
  classes: string[];
  readonly windings: string[][];
  source: Source | undefined;
  describes: number;
  isChip: boolean;
  speed: string;
}

const COLOURS = /^(?:black|brown|red|orange|yellow|green|blue|violet|purple|grey|gray|white|gold|silver)$/i;
/** Words behind which a kind is that of something else. */
const OF_OTHERS = /^(?:the|across|near|next|under|beside|behind|of|by|above|below|over|from|to|than)$/i;
const OR_WORDS = /^(?:or|ou|oder)$/i;

/**
 * Reads what is said of a part behind its references: kind, case, values, marking, condition, place and duty in any
 * order and in a person's words. The kind is what the person says, else what the number can only be, else what the
 * letters of the reference suggest.
 */
export function readPart(
  tokens: readonly Token[],
  {
    ref,
    known,
    kind,
    context,
  }: { ref: string; known?: ContextPart | undefined; kind?: KindName | undefined; context: BenchContext },
): ReadPart | Question {
  const sorted = sort(tokens, ref, kind ?? known?.kind, context);
  if ('problem' in sorted) return sorted;
  return settle(sorted, { ref, known, kind });
}

function sort(
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
    (/^[+x×]$/i.test(next?.text ?? '') || /^(?:pins?|legs?|leads?|windings?)$/i.test(next?.text ?? ''))
  )
    return 1;
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

/** Kinds whose values are read word by word, so that no number is made of several. */
const SPELLED_OUT: ReadonlySet<KindName> = new Set([
  'resistor',
  'capacitor',
  'inductor',
  'potentiometer',
  'common-mode-choke',
  'connector',
  'relay',
  'lamp',
  'switch',
  'transformer',
]);
/** A number in parts is taken as one when it reads at least this well. */
const READS_AS_ONE = 0.3;

/** A number that was typed in parts: `MBR 20100 CT`, `P6KE 200A`, `BZX 55 C 12`, `LM2596S -5.0 P+`. */
function codeRun(
  all: readonly Token[],
  index: number,
  ref: string,
  kind: KindName | undefined,
): { token: Token; length: number } | undefined {
  const letters = kindsOfReference(ref);
  const kinds = kind ? [kind] : letters.map(([name]) => name);
  if (kinds.length === 0 || SPELLED_OUT.has(kinds[0] ?? 'wire')) return undefined;
  const [first] = all.slice(index);
  if (
    !first ||
    !/^[a-z0-9?]{1,12}$/i.test(first.text) ||
    (!/\d/.test(first.text) &&
      (meaningsOf(first.text).length > 0 || first.text.length > 5 || mended(first.text) !== undefined))
  )
    return undefined;
  let length = 1;
  while (length < MOST_PIECES && !all[index + length - 1]?.parted) {
    const piece = all[index + length]?.text ?? '';
    const isPiece =
      /^[-+]?[a-z0-9.+?]{1,8}$/i.test(piece) &&
      (/\d/.test(piece) || /^[A-Z]{1,2}\+?$/i.test(piece)) &&
      !meaningsOf(piece).some(
        ({ as }) => as === 'package' || as === 'damage' || as === 'kind' || (as === 'filler' && piece.length > 1),
      );
    if (!isPiece) break;
    length += 1;
  }
  for (; length > 1; length -= 1) {
    const pieces = all.slice(index, index + length);
    const text = pieces.map((piece) => piece.text).join(' ');
    if (!/\d/.test(text)) continue;
    const reads = Math.max(0, ...kinds.map((name) => decodingsAs(text, name)[0]?.confidence ?? 0));
    if (reads >= READS_AS_ONE) return { token: merged(pieces, text), length };
  }
  return undefined;
}
const MOST_PIECES = 4;

const mayHaveClass = (ref: string, kind: KindName | undefined, { kinds }: Sorted) =>
  (kind ?? kindsOfReference(ref)[0]?.[0]) === 'capacitor' || kinds.some(({ meaning }) => meaning.kind === 'capacitor');

function colourRun(all: readonly Token[], index: number): Token[] {
  const run: Token[] = [];
  while (COLOURS.test(all[index + run.length]?.text ?? '')) {
    const token = all[index + run.length];
    if (token) run.push(token);
  }
  return run;
}

/** The colours of a resistor's bands. */
function takeBands(bands: readonly Token[], sorted: Sorted): number | undefined {
  const read = decodeBands(
    bands.map(({ text }) => text.toLowerCase().replace('purple', 'violet').replace('gray', 'grey')),
  );
  const best = read.ok ? read.decodings[0] : undefined;
  if (!best) return undefined;
  for (const [name, value] of printedRatings(best)) sorted.said.ratings.push({ name, value, source: 'decoded' });
  sorted.describes += 1;
  return bands.length;
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

interface Phrase {
  readonly length: number;
  readonly meaning: Meaning;
}

/** The longest run of words that a table has. A word that is also a filler is taken as what it says of the kind. */
function longestPhrase(all: readonly Token[], index: number, kind: KindName | undefined): Phrase | undefined {
  for (let length = Math.min(LONGEST_PHRASE, all.length - index); length >= 1; length -= 1) {
    const run = all.slice(index, index + length);
    if (run.slice(0, -1).some(({ parted }) => parted)) continue;
    const meanings = meaningsOf(run.map(({ text }) => text).join(' '));
    if (meanings.length === 0) continue;
    const meaning =
      meanings.find((one) => one.as === 'kind' && one.kind === kind) ??
      meanings.find((one) => (one.as === 'block' || one.as === 'duty') && kind !== 'connector' && kind !== 'switch') ??
      meanings[0];
    if (meaning) return { length, meaning };
  }
  return undefined;
}

/** A phrase of several words with a slip in it: `comon mode choke`. */
function mendedRun(all: readonly Token[], index: number): (Phrase & { typed: string; read: string }) | undefined {
  for (let length = Math.min(LONGEST_PHRASE, all.length - index); length >= 2; length -= 1) {
    const run = all.slice(index, index + length);
    if (run.slice(0, -1).some(({ parted }) => parted) || run.some(({ text }) => /\d/.test(text))) continue;
    const typed = run.map(({ text }) => text).join(' ');
    const read = mended(typed);
    const [meaning] = read === undefined ? [] : meaningsOf(read);
    if (read !== undefined && meaning && meaning.as !== 'filler') return { length, meaning, typed, read };
  }
  return undefined;
}

function placeMeaning(meaning: Meaning, token: Token, before: Token | undefined, sorted: Sorted): void {
  const { said } = sorted;
  if (meaning.as === 'filler' || meaning.as === 'measures' || meaning.as === 'marked') return;
  sorted.describes += 1;
  switch (meaning.as) {
    case 'kind':
      sorted.kinds.push({
        meaning,
        token,
        placedBy: before,
        isFirst: sorted.describes === 1 && sorted.codes.length === 0 && sorted.values.length === 0,
      });
      return;
    case 'poly':
      sorted.poly = token;
      return;
    case 'package':
      said.package ??= meaning.name;
      if (meaning.name === 'SMD' || packageRule(meaning.name)?.group === 'chip') sorted.isChip = true;
      return;
    case 'damage':
      if (!said.damage.includes(meaning.damage)) said.damage.push(meaning.damage);
      return;
    case 'block':
      said.block ??= meaning.block;
      return;
    case 'duty':
      said.duty ??= meaning.duty;
      return;
    case 'fitment':
      if (!said.fitments.includes(meaning.fitment)) said.fitments.push(meaning.fitment);
      return;
    case 'speed':
      sorted.speed = meaning.speed;
  }
}

const UNREAD = /^(?:not|no|none|unreadable|illegible|readable|worn|gone|missing|rubbed|sanded|unknown|off)$/i;

/**
 * What stands behind “marked”: all words up to a comma, a case in so many words, or at the end words that no marking
 * ends in. Words in front that name the kind say that.
 */
function takeMarking(behind: readonly Token[], sorted: Sorted): number {
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
      sorted.values.push({ token, unit: value.unit, value: value.quantity.value, ambiguous: value.ambiguous });
  }
  sorted.describes += 1;
  return length;
}

function settle(
  sorted: Sorted,
  { ref, known, kind: given }: { ref: string; known?: ContextPart | undefined; kind?: KindName | undefined },
): ReadPart | Question {
  const { said, classes } = sorted;
  const letters = kindsOfReference(ref);
  // A kind that the letters do not allow and that stands behind “the” or “near” is another part's.
  const own = sorted.kinds.filter(({ meaning, placedBy, isFirst }) => {
    const fits = letters.length === 0 || letters.some(([kind]) => kind === meaning.kind);
    const isOther = !fits && (known !== undefined || !isFirst || OF_OTHERS.test(placedBy?.text ?? ''));
    return !isOther;
  });
  for (const entry of sorted.kinds)
    if (!own.includes(entry)) {
      sorted.unplaced.push(entry.token);
      sorted.describes -= 1;
    }
  const stated = statedKind(
    own.map(({ meaning }) => meaning),
    ref,
  );
  for (const entry of own)
    if (stated && entry.meaning.kind !== stated.kind && !isKin(entry.meaning.kind, stated.kind))
      sorted.unplaced.push(entry.token);
  const number = sorted.marked || sorted.codes.map(({ text }) => text).join(' ');
  const decision = decideKind({ given, stated, known, number, sorted, ref, letters });
  if ('problem' in decision) return decision;
  const { kind } = decision;
  if (kind === 'dual-diode') {
    const made = own.find(({ meaning }) => meaning.kind === 'diode' && meaning.subtype !== undefined)?.meaning.subtype;
    if (made) said.technology = made;
  }
  if (decision.subtype && said.subtype === undefined) said.subtype = decision.subtype;
  // “16V x2” is two of them; no capacitor for the mains is rated so low.
  const volts = sorted.values.find(({ unit }) => unit === 'volt')?.value;
  if (volts !== undefined && volts < LEAST_SAFETY_VOLTS) classes.length = 0;
  if (classes.length > 0) said.subtype = classes.sort().at(-1) ?? '';
  if (sorted.windings.length > 0 && WOUND.has(kind)) {
    said.windings = sorted.windings;
    // “primary 1-3” names a winding, not where the part sits.
    delete said.block;
  }
  const byLetters = LETTER_SUBTYPES[/^[A-Z]+/.exec(ref)?.[0] ?? ''];
  if (byLetters?.[0] === kind) said.subtype ??= byLetters[1];
  const asked = takePoly(sorted, kind) ?? takeCodes(sorted, kind, known, ref) ?? placeValues(sorted, kind, ref);
  if (asked) return { ...asked, kept: { ...said, partKind: kind, ...asked.kept } };
  const { describes, unplaced, corrected } = sorted;
  const placed = describes + said.ratings.length + (said.marking ? 1 : 0) + (said.dateCode ? 1 : 0);
  return {
    partKind: kind,
    said,
    describes: describes > 0 || said.marking !== undefined || said.dateCode !== undefined,
    placed,
    unplaced,
    // A word that was mended and could not be placed after all stands as it was typed.
    corrected: corrected.filter(({ typed }) => !unplaced.some(({ text }) => text === typed)),
  };
}

/** Whether one kind may be said beside the other of the same part. */
const KIN: readonly (readonly KindName[])[] = [
  ['diode', 'dual-diode', 'bridge', 'diac', 'scr', 'triac'],
  ['inductor', 'common-mode-choke'],
  ['resistor', 'potentiometer', 'thermistor', 'fuse', 'varistor'],
  ['nmos', 'pmos', 'igbt', 'npn', 'pnp'],
  ['ic', 'regulator', 'optocoupler', 'shunt-reference'],
  ['connector', 'lamp', 'switch'],
];
const isKin = (one: KindName, other: KindName) => KIN.some((group) => group.includes(one) && group.includes(other));

/** Lowest rating of a capacitor with a safety class. */
const LEAST_SAFETY_VOLTS = 100;
const WOUND: ReadonlySet<KindName> = new Set(['transformer', 'inductor', 'common-mode-choke']);
/** Letters that say more than the kind. */
const LETTER_SUBTYPES: Readonly<Record<string, readonly [KindName, string]>> = {
  NTC: ['thermistor', 'ntc'],
  PTC: ['thermistor', 'ptc'],
  ZD: ['diode', 'zener'],
  DZ: ['diode', 'zener'],
  LED: ['diode', 'led'],
};

/** Letters that suggest one kind this clearly settle it when nothing else does. */
const BY_LETTER = 0.6;

function decideKind({
  given,
  stated,
  known,
  number,
  sorted,
  ref,
  letters,
}: {
  given: KindName | undefined;
  stated: DecidedKind | undefined;
  known: ContextPart | undefined;
  number: string;
  sorted: Sorted;
  ref: string;
  letters: ReturnType<typeof kindsOfReference>;
}): DecidedKind | Question {
  const case_ = sorted.said.package;
  const read = (kind: KindName): DecidedKind => {
    const decoding = number === '' ? undefined : decodingsAs(number, kind, case_)[0];
    return decoding && decoding.confidence >= 0.3 ? decided(decoding) : { kind };
  };
  const kind = given ?? stated?.kind;
  // Four diodes that make a bridge are diodes.
  if (kind === 'bridge' && given === undefined && number !== '' && letters[0]?.[0] === 'diode') {
    const [single] = decodingsAs(number, 'diode', case_);
    if (single && single.confidence > (decodingsAs(number, 'bridge', case_)[0]?.confidence ?? 0))
      return decided(single);
  }
  if (kind)
    return { ...read(kind), kind, ...(stated?.kind === kind && stated.subtype ? { subtype: stated.subtype } : {}) };
  if (sorted.classes.length > 0 || sorted.poly) return { kind: 'capacitor' };
  if (known) return { ...read(known.kind), kind: known.kind };
  const [main] = letters;
  if (!main) return { problem: { kind: 'kind-unknown', ref } };
  if (number !== '') {
    const found = firstOf(variantsOf(number, sorted).map((text) => kindFromMarking(text, ref, case_)));
    if (found === 'tied' || (!found && main[1] < BY_LETTER))
      return {
        problem: {
          kind: 'unclear',
          word: number,
          question: `${ref}: what kind of part is it? “${number}” does not tell.`,
          maybe: letters
            .slice(0, 3)
            .map(([name]) => `${ref.toLowerCase()} ${kindRule(name).words[0] ?? name} ${number}`),
        },
        kept: { ...sorted.said, marking: markingAsTyped(number) },
      };
    if (found) return found;
  }
  if (main[1] >= BY_LETTER || letters.length === 1) return { kind: main[0] };
  return {
    problem: {
      kind: 'unclear',
      word: ref,
      question: `${ref}: what kind of part is it?`,
      maybe: letters.slice(0, 3).map(([name]) => `${ref.toLowerCase()} ${kindRule(name).words[0] ?? name}`),
    },
    kept: { ...sorted.said },
  };
}

/** A number and what may be it with less behind: `817 C 423`, `817C423`, `817 C`, `817C`, `817`. */
function variantsOf(number: string, { codes }: Sorted): string[] {
  const words = number.split(' ');
  const shorter = words
    .map((_, index) => words.slice(0, words.length - index))
    .flatMap((some) => [some.join(' '), some.join('')]);
  return [...new Set([...shorter, ...codes.map(({ text }) => text)])];
}

const firstOf = <T>(found: readonly (T | undefined)[]): T | undefined => found.find((one) => one !== undefined);

/** “poly” is polymer on a low rail and film elsewhere. */
function takePoly(sorted: Sorted, kind: KindName): Question | undefined {
  if (!sorted.poly || kind !== 'capacitor') return undefined;
  const volts = sorted.values.find(({ unit }) => unit === 'volt')?.value;
  const farads =
    sorted.values.find(({ unit }) => unit === 'farad')?.value ??
    firstOf(sorted.codes.map(({ text }) => shorthandOf(text, 'farad')?.value));
  const isFilm = (volts !== undefined && volts >= 63) || (farads !== undefined && farads < 5e-6);
  const isPolymer = (volts === undefined || volts <= 35) && farads !== undefined && farads >= 10e-6;
  if (isFilm === isPolymer)
    return {
      problem: {
        kind: 'unclear',
        word: sorted.poly.text,
        question: 'Polymer or film (polyester, polypropylene)?',
        maybe: [],
      },
    };
  sorted.said.subtype ??= isFilm ? 'film' : 'polymer';
  return undefined;
}

/** Digits that are a value in code, by the kind: what they may be read as, or which question they raise. */
function takeCodes(sorted: Sorted, kind: KindName, known: ContextPart | undefined, ref: string): Question | undefined {
  const { said, marked } = sorted;
  const left: Token[] = [];
  const hasMain = () =>
    said.ratings.some(({ name }) => name === MAIN_VALUE[kind]) ||
    sorted.values.some(({ unit }) => MAIN_VALUE[kind] !== undefined && unit === RATINGS[MAIN_VALUE[kind]].unit);
  for (const token of sorted.codes) {
    const taken = hasMain() ? undefined : takeValueCode(token.text, kind, sorted, ref);
    if (typeof taken === 'object') return taken;
    if (!taken) left.push(token);
  }
  if (marked !== '') {
    said.marking = markingAsTyped(marked);
    if (!hasMain()) {
      const asked = takeMarkedValue(marked, kind, sorted, ref);
      if (asked) return { ...asked, kept: { ...said, marking: said.marking } };
    }
  }
  if (left.length === 0) return undefined;
  const digits = left.filter(({ text }) => isBareNumber(text));
  // A small number or a decimal is never the number of a part.
  const small = digits.filter(({ text }) => text.length < 3 || /[.,]/.test(text));
  if (small.length === left.length) {
    if (said.marking === undefined && PRINTS_VALUES.has(kind) && !hasMain()) return whichUnit(small[0], kind, ref);
    sorted.unplaced.push(...left);
    return undefined;
  }
  if (
    said.marking !== undefined ||
    (digits.length === left.length && kind !== 'regulator' && known === undefined && !isNumberOf(left, kind))
  ) {
    const [degrees] = digits;
    if (
      kind === 'capacitor' &&
      hasMain() &&
      digits.length === 1 &&
      /^(?:85|105|125|130|135)$/.test(degrees?.text ?? '')
    ) {
      said.ratings.push({ name: 'temperature', value: Number(degrees?.text), source: 'decoded' });
      return undefined;
    }
    if (digits.length === left.length && said.marking === undefined && PRINTS_VALUES.has(kind) && !hasMain())
      return whichUnit(digits[0], kind, ref);
    sorted.unplaced.push(...left);
    return undefined;
  }
  return takeNumber(left, kind, sorted, ref);
}

const PRINTS_VALUES: ReadonlySet<KindName> = new Set([
  'capacitor',
  'resistor',
  'inductor',
  'potentiometer',
  'fuse',
  'relay',
  'common-mode-choke',
]);

/** Whether bare digits are a number of this kind, such as 817 or 13007. */
const isNumberOf = (tokens: readonly Token[], kind: KindName) =>
  (decodingsAs(tokens.map(({ text }) => text).join(' '), kind)[0]?.confidence ?? 0) >= 0.3 && !PRINTS_VALUES.has(kind);

function whichUnit(token: Token | undefined, kind: KindName, ref: string): Question {
  const word = token?.text ?? '';
  const units: Partial<Record<KindName, readonly string[]>> = {
    capacitor: ['u', 'V', 'n'],
    resistor: ['R', 'k', 'M'],
    potentiometer: ['R', 'k', 'M'],
    inductor: ['u', 'mH'],
    'common-mode-choke': ['mH', 'u'],
    fuse: ['A', 'mA'],
    relay: ['V'],
  };
  return {
    problem: {
      kind: 'unclear',
      word,
      question: `${word} what?`,
      maybe: (units[kind] ?? []).map((unit) => `${ref.toLowerCase()} ${word}${unit}`),
    },
  };
}

/** A code that carries the value: `4k7`, `104`, `R220`, `14D471K`, `T2A250V`. True when it was taken. */
function takeValueCode(text: string, kind: KindName, sorted: Sorted, ref: string): true | undefined | Question {
  const { said } = sorted;
  const main = MAIN_VALUE[kind];
  // Below one, a resistor's value is in ohms: nobody writes 0.22 for 220 ohms or 220 kilohms.
  if (kind === 'resistor' && /^0?[.,]\d+$/.test(text)) {
    const value = shorthandOf(text, 'ohm');
    if (value) said.ratings.push({ name: 'resistance', value: value.value, source: sorted.source ?? 'decoded' });
    return value ? true : undefined;
  }
  if (isBareNumber(text)) {
    if (kind === 'varistor' && /^[1-9]\d[0-3]$/.test(text)) {
      // Two digits and how many noughts, as in the middle of 14D471K.
      said.ratings.push({ name: 'vn', value: Number(text.slice(0, 2)) * 10 ** Number(text[2]), source: 'decoded' });
      return true;
    }
    if (kind === 'potentiometer' && /^[1-9]\d[0-6]$/.test(text)) {
      said.ratings.push({
        name: 'resistance',
        value: Number(text.slice(0, 2)) * 10 ** Number(text[2]),
        source: 'decoded',
      });
      return true;
    }
    if (kind !== 'resistor' && kind !== 'capacitor' && kind !== 'inductor') return undefined;
    if (!/^\d{3,4}$/.test(text) || (text.length === 4 && kind !== 'resistor')) return undefined;
    return takeDigits(text, kind, sorted, ref);
  }
  if (main) {
    const lowM = kind === 'resistor' || kind === 'potentiometer' ? text.replace(/^(\d*\.?\d+)m(\d*)$/, '$1M$2') : text;
    if (
      lowM !== text &&
      (said.duty === 'sense' || /shunt/i.test(sorted.kinds.map(({ token }) => token.text).join(' ')))
    )
      return {
        problem: {
          kind: 'unclear',
          word: text,
          question: `${text}: milliohms or megohms?`,
          maybe: [`${ref.toLowerCase()} ${text.replace('m', '')}mΩ`, `${ref.toLowerCase()} ${lowM}`],
        },
      };
    const value = shorthandOf(lowM, RATINGS[main].unit);
    if (value) {
      said.ratings.push({ name: main, value: value.value, source: sorted.source ?? 'decoded' });
      if (value.tolerance !== undefined && kindRule(kind).ratings.includes('tolerance'))
        said.ratings.push({ name: 'tolerance', value: value.tolerance, source: sorted.source ?? 'decoded' });
      return true;
    }
  }
  const decoding = decodingsAs(text, kind, said.package)[0];
  const printed = decoding && decoding.confidence >= 0.3 ? printedRatings(decoding) : [];
  if (!decoding || printed.length === 0 || kind === 'diode') return undefined;
  addPrinted(printed, sorted);
  const subtype = decided(decoding).subtype;
  if (subtype) said.subtype ??= subtype;
  if (kind === 'thermistor' || kind === 'varistor' || kind === 'fuse') said.marking ??= text.toUpperCase();
  return true;
}

function addPrinted(printed: readonly (readonly [RatingName, number])[], sorted: Sorted): void {
  for (const [name, value] of printed)
    if (!sorted.said.ratings.some((rating) => rating.name === name))
      sorted.said.ratings.push({ name, value, source: 'decoded' });
}

/** Three or four digits on a part: the code, unless they may as well be the value itself. */
function takeDigits(
  text: string,
  kind: 'resistor' | 'capacitor' | 'inductor',
  sorted: Sorted,
  ref: string,
): true | Question | undefined {
  const { said, isChip } = sorted;
  const isCode =
    isChip ||
    ['ceramic', 'film', 'x', 'y', 'x1', 'x2', 'y1', 'y2'].includes(said.subtype ?? '') ||
    sorted.classes.length > 0;
  const last = text.at(-1) ?? '';
  const decoding = decodingsAs(text, kind, said.package)[0];
  const printed = decoding ? printedRatings(decoding) : [];
  if (last === '0' && kind === 'capacitor' && !isCode)
    return whichUnit({ text, start: 0, end: 0, parted: false }, kind, ref);
  if (last === '0' && !(kind === 'capacitor' && isCode) && !(text.length === 4 && isChip)) {
    const [, coded] = printed[0] ?? [];
    return whichOf(text, kind, coded, ref);
  }
  if (printed.length === 0 || (!isCode && (last === '8' || last === '9' || (kind === 'capacitor' && last === '0'))))
    return whichUnit({ text, start: 0, end: 0, parted: false }, kind, ref);
  if (!isCode && kind === 'capacitor' && !/[1-5]$/.test(text))
    return whichUnit({ text, start: 0, end: 0, parted: false }, kind, ref);
  addPrinted(printed, sorted);
  return true;
}

function whichOf(text: string, kind: KindName, coded: number | undefined, ref: string): Question {
  const unit = kind === 'resistor' ? 'Ω' : kind === 'capacitor' ? 'pF' : 'µH';
  const scale = kind === 'resistor' ? 1 : kind === 'capacitor' ? 1e-12 : 1e-6;
  const byCode = coded === undefined ? undefined : Number((coded / scale).toPrecision(6));
  return {
    problem: {
      kind: 'unclear',
      word: text,
      question:
        byCode === undefined
          ? `${text} what?`
          : `${text}: ${byCode} ${unit} by the code, ${text} ${unit} by the digits?`,
      maybe: [
        ...(byCode === undefined ? [] : [`${ref.toLowerCase()} ${byCode}${unit}`]),
        `${ref.toLowerCase()} ${text}${unit}`,
      ],
    },
  };
}

/** The value that a marking carries, on parts whose print is their value. */
function takeMarkedValue(marked: string, kind: KindName, sorted: Sorted, ref: string): Question | undefined {
  if (/^\d{3,4}$/.test(marked) && (kind === 'resistor' || kind === 'inductor' || kind === 'capacitor')) {
    const asked = takeDigits(marked, kind, sorted, ref);
    return typeof asked === 'object' ? asked : undefined;
  }
  // A small m in a marking is milliohms: it is kept as it stands, for its readings to tell.
  const decoding = decodingsAs(marked, kind, sorted.said.package)[0];
  if (decoding && decoding.confidence >= 0.6 && !MILLIOHMS.test(marked)) {
    addPrinted(printedRatings(decoding), sorted);
    const subtype = decided(decoding).subtype;
    if (subtype) sorted.said.subtype ??= subtype;
  }
  return undefined;
}

/** The number of a part out of the words that may be it: the run that reads best, the rest unplaced. */
function takeNumber(left: readonly Token[], kind: KindName, sorted: Sorted, ref: string): undefined {
  const { said } = sorted;
  const text = left.map((token) => token.text).join(' ');
  const whole = decodingsAs(text, kind, said.package)[0];
  said.marking = markingAsTyped(text);
  if (whole) {
    addPrinted(kind === 'diode' && whole.confidence < 0.5 ? [] : printedRatings(whole), sorted);
    const subtype = decided(whole).subtype;
    if (subtype) said.subtype ??= subtype;
  }
  void ref;
  return undefined;
}

/** Puts values with units to the ratings of the kind. */
function placeValues(sorted: Sorted, kind: KindName, ref: string): Question | undefined {
  const { said, values, pairs } = sorted;
  const source = sorted.source ?? 'decoded';
  for (const { name, value } of pairs) {
    const rating = ratingFromWord(name.text, kind);
    const parsed = rating && parseQuantity(value.text, RATINGS[rating].unit);
    if (rating && parsed && parsed.ok && kindRule(kind).ratings.includes(rating))
      said.ratings.push({ name: rating, value: parsed.quantity.value, source });
    else sorted.unplaced.push(name, value);
  }
  for (const { token, unit, value, ambiguous } of values) {
    if (ambiguous)
      return {
        problem: {
          kind: 'unclear',
          word: token.text,
          question: `${token.text}: is the comma a decimal point, or does it part thousands?`,
          maybe: [
            `${ref.toLowerCase()} ${token.text.replace(',', '.')}`,
            `${ref.toLowerCase()} ${token.text.replace(',', '')}`,
          ],
        },
      };
    const rating = unit === 'ratio' ? ('tolerance' as const) : ratingFor(kind, unit, said);
    const holds = rating !== undefined && kindRule(kind).ratings.includes(rating);
    if (rating === undefined || !holds) {
      if (unit !== 'second') sorted.unplaced.push(token);
      continue;
    }
    if (said.ratings.some(({ name }) => name === rating)) continue;
    said.ratings.push({ name: rating, value, source });
  }
  said.ratings.sort((a, b) => kindRule(kind).ratings.indexOf(a.name) - kindRule(kind).ratings.indexOf(b.name));
  return undefined;
}

/** A bare voltage on a Zener diode is its own. */
function ratingFor(kind: KindName, unit: Unit, { subtype }: Said): RatingName | undefined {
  if (kind === 'diode' && unit === 'volt' && (subtype === 'zener' || subtype === 'tvs')) return 'vz';
  return ratingFromUnit(kind, unit);
}

/** A marking in capitals, unless a small m in it means milliohms. */
export const markingAsTyped = (marking: string) =>
  MILLIOHMS.test(marking) ? marking : marking.replace(/[^µμ]+/g, (run) => run.toUpperCase());

/** Whether a word is a number that the shop knows; the list is sorted. */
function isKnownType(word: string, { types = [] }: BenchContext): boolean {
  const wanted = word.toUpperCase();
  let low = 0;
  let high = types.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((types[middle] ?? '') < wanted) low = middle + 1;
    else high = middle;
  }
  return types[low] === wanted && !isReference(word);
}

/** Whether the bench test of a kind holds this rating against what is printed. */
export function isJudged(kind: KindName, { name }: TypedRating): boolean {
  const { test } = kindRule(kind);
  return test !== undefined && TESTS[test].fields.some(({ rating }) => rating === name);
}

/** The record of a part from what was read of it. */
export function partRecord(refs: readonly string[], { partKind, said }: ReadPart, like?: string): BenchRecord {
  const [ref = '', ...others] = refs;
  return {
    kind: 'part',
    ref,
    partKind,
    ...said,
    ...(others.length > 0 ? { others } : {}),
    ...(like === undefined ? {} : { like }),
  };
}
