import { SOURCES, type Source } from '../evidence';
import { TESTS } from '../measure';
import {
  blockFromWord,
  damageFromWord,
  dutyFromWord,
  fitmentFromWord,
  kindFromReference,
  kindFromWord,
  kindRule,
  packageFromWord,
  SUBTYPES,
  type BlockName,
  type DutyName,
  type FitmentName,
  type KindName,
} from '../part';
import { ratingFromPair, ratingFromToken } from './readRatings';
import type { BenchContext, BenchProblem, BenchRecord, TypedRating } from './record';

type Outcome = BenchRecord | { readonly problem: BenchProblem };

/** What the words of a line have said so far. */
export interface Said {
  subtype?: string;
  package?: string;
  marking?: string;
  block?: BlockName;
  duty?: DutyName;
  readonly fitments: FitmentName[];
  readonly damage: string[];
  readonly ratings: TypedRating[];
  /** Whether anything described the part, rather than only its values. */
  describes: boolean;
}

/** A small m as the point means milliohms, a large one megohms: 5m0 is no 5 MΩ. */
const MILLIOHMS = /^\d{1,3}m\d{0,2}$/;
const COPY_WORDS = ['like', 'as', 'same'];

/**
 * A part, or a value of one: kind, case, block, duty, condition and ratings in any order, the
 * marking behind `marked`. `like q1` or `same` copies another part first.
 */
export function readPart(
  [ref = '', ...others]: readonly string[],
  knownKind: KindName | undefined,
  typed: readonly string[],
  context: BenchContext,
): Outcome {
  const copied = readCopy(ref, typed, context);
  if (copied && 'problem' in copied) return copied;
  const { like, words: withDate, kind: likeKind } = copied ?? { words: typed };
  const dated = readDate(withDate);
  if ('problem' in dated) return dated;
  const { code, words } = dated;
  const stated = statedKind(words);
  const partKind = stated ?? knownKind ?? likeKind ?? kindFromReference(ref);
  if (!partKind) return { problem: { kind: 'kind-unknown', ref } };

  const said: Said = {
    fitments: [],
    damage: [],
    ratings: [],
    describes: stated !== undefined || knownKind === undefined || code !== undefined || like !== undefined,
  };
  const problem = takeValues(words, { ref, partKind, context, said });
  if (problem) return { problem };
  const judged = said.ratings.find((rating) => rating.source === 'measured' && isJudged(partKind, rating));
  if (judged) return { problem: { kind: 'measure-instead', ref, rating: judged.name } };
  const { describes, ...facts } = said;
  if (!describes && facts.ratings.length > 0 && others.length === 0)
    return { kind: 'value', ref, ratings: facts.ratings };
  return {
    kind: 'part',
    ref,
    partKind,
    ...facts,
    ...(others.length > 0 ? { others } : {}),
    ...(like === undefined ? {} : { like }),
    ...(code === undefined ? {} : { dateCode: code.toUpperCase() }),
  };
}

/** Takes all words into what is said of a part. Returns what is wrong with the first that does not fit, if any. */
export function takeValues(
  words: readonly string[],
  of: { ref: string; partKind: KindName; context: BenchContext; said: Said },
): BenchProblem | undefined {
  const source = words
    .map((word) => SOURCES.find((name) => name === word.toLowerCase()))
    .find((found) => found !== undefined);
  for (let index = 0; index < words.length;) {
    const taken = takeWords(words, index, { ...of, source });
    if (typeof taken !== 'number') return taken.problem;
    index += taken;
  }
  return undefined;
}

/** `like q1`, `as q1`, `same`: the part to copy, and the words without it. */
function readCopy(
  ref: string,
  typed: readonly string[],
  { parts }: BenchContext,
): { like: string; kind: KindName; words: readonly string[] } | { problem: BenchProblem } | undefined {
  const at = typed.findIndex((word) => COPY_WORDS.includes(word.toLowerCase()));
  const marked = typed.findIndex((word) => word.toLowerCase() === 'marked');
  if (at < 0 || (marked >= 0 && marked < at)) return undefined;
  const word = typed[at] ?? '';
  const named = word.toLowerCase() === 'same' ? undefined : (typed[at + 1] ?? '').toUpperCase();
  const above = parts.filter((part) => part.ref !== ref).at(-1);
  const model = named === undefined ? above : parts.find((part) => part.ref === named);
  if (!model) return { problem: { kind: 'nothing-to-copy', word: named || word } };
  const words = [...typed.slice(0, at), ...typed.slice(at + (named === undefined ? 1 : 2))];
  return { like: model.ref, kind: model.kind, words };
}

function readDate(
  words: readonly string[],
): { code: string | undefined; words: readonly string[] } | { problem: BenchProblem } {
  const at = words.findIndex((word) => word.toLowerCase() === 'dated');
  if (at < 0) return { code: undefined, words };
  const code = words[at + 1] ?? '';
  if (!/^[a-z0-9]{2,6}$/i.test(code))
    return { problem: { kind: 'value-unreadable', word: code || 'dated', expected: 'a date code such as 2314' } };
  return { code, words: [...words.slice(0, at), ...words.slice(at + 2)] };
}

function statedKind(words: readonly string[]): KindName | undefined {
  const marked = words.findIndex((word) => word.toLowerCase() === 'marked');
  const said = marked < 0 ? words : words.slice(0, marked);
  const named = said.map(kindFromWord).filter((kind) => kind !== undefined);
  return (
    named.find((kind) => kind !== 'diode') ??
    named[0] ??
    said.map((word) => SUBTYPES[word.toLowerCase()]).find((kind) => kind !== undefined)
  );
}

/** Takes one word, or a few that belong together, into what is said. Returns how many, or what is wrong. */
function takeWords(
  words: readonly string[],
  index: number,
  of: { ref: string; partKind: KindName; source: Source | undefined; context: BenchContext; said: Said },
): number | { problem: BenchProblem } {
  const { ref, partKind, source, context, said } = of;
  const word = words[index] ?? '';
  const lower = word.toLowerCase();
  const next = words[index + 1];
  if (lower === '=' || lower === 'in' || source === lower) return 1;
  if (lower === 'marked') return takeMarking(words.slice(index + 1), said);
  const described = describe(word, partKind, said);
  if (described) {
    said.describes = true;
    return 1;
  }
  const pair = next === undefined ? undefined : ratingFromPair(word, next, partKind, source ?? 'decoded');
  if (pair && 'expected' in pair)
    return { problem: { kind: 'value-unreadable', word: next ?? '', expected: pair.expected } };
  if (pair) {
    said.ratings.push(pair);
    return 2;
  }
  const single = ratingFromToken(word, partKind, source ?? 'decoded');
  if (single) {
    said.ratings.push(single);
    return 1;
  }
  if (isKnownType(word, context)) {
    said.marking = word.toUpperCase();
    said.describes = true;
    return 1;
  }
  return { problem: { kind: 'word-unknown', word, ref } };
}

function describe(word: string, partKind: KindName, said: Said): boolean {
  const lower = word.toLowerCase();
  if (kindFromWord(word) === partKind || describesKind(lower, partKind)) {
    if (SUBTYPES[lower]) said.subtype = lower;
    return true;
  }
  const [case_, damage, block, duty, fitment] = [
    packageFromWord(word),
    damageFromWord(word),
    blockFromWord(word),
    dutyFromWord(word),
    fitmentFromWord(word),
  ];
  if (case_) said.package = case_;
  else if (damage) said.damage.push(damage);
  else if (block) said.block = block;
  else if (duty) said.duty = duty;
  else if (fitment) said.fitments.push(fitment);
  return (case_ ?? damage ?? block ?? duty ?? fitment) !== undefined;
}

function takeMarking(behind: readonly string[], said: Said): number | { problem: BenchProblem } {
  const text = [...behind];
  // No marking ends in a word such as “burnt” or “secondary”: what else is said may follow it.
  while (text.length > 1) {
    const last = text.at(-1) ?? '';
    const damage = damageFromWord(last);
    const block = blockFromWord(last);
    if (!damage && !block) break;
    if (damage) said.damage.push(damage);
    if (block) said.block = block;
    text.pop();
  }
  const marking = text.join(' ');
  if (!marking) return { problem: { kind: 'value-unreadable', word: 'marked', expected: 'the marking behind it' } };
  said.marking = markingAsTyped(marking);
  said.describes = true;
  return behind.length + 1;
}

/** A marking in capitals, unless a small m in it means milliohms. */
export const markingAsTyped = (marking: string) => (MILLIOHMS.test(marking) ? marking : marking.toUpperCase());

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
  return types[low] === wanted;
}

/** Whether the bench test of a kind holds this rating against what is printed. */
export function isJudged(kind: KindName, { name }: TypedRating): boolean {
  const { test } = kindRule(kind);
  return test !== undefined && TESTS[test].fields.some(({ rating }) => rating === name);
}

/** Whether a subtype word such as schottky fits the kind; a dual rectifier takes those of a diode. */
function describesKind(word: string, kind: KindName): boolean {
  const owner = SUBTYPES[word];
  return owner === kind || (owner === 'diode' && kind === 'dual-diode');
}
