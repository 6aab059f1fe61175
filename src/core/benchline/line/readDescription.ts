import { isMadeVoltage, ratingFromWord } from '../../part';
import { decodingsAs } from '../part/kindOf';
import { isJudged, partRecord, readPart } from '../part/readPart';
import { type Question } from '../part/said';
import { isPrefix, isReference, kindsOfReference } from '../references';
import type { BenchContext, BenchProblem, BenchRecord, ContextPart } from '../record';
import type { Token } from '../tokens';
import { meaningsOf } from '../vocabulary';
import { SAYS_RATED } from '../volts';
import { type Outcome, partOf, MOST_UNPLACED, CLEARLY } from './outcome';

const COPY_WORDS = /^(?:like|as|same|ditto|dito|idem)$/i;

export function readDescription(refs: readonly string[], rest: readonly Token[], context: BenchContext): Outcome {
  const [ref = ''] = refs;
  const other = rest.find(({ text }, index) => isOtherPart(text, rest[index - 1]?.text, refs, context));
  const copied = readCopy(refs, rest, context);
  if (other && copied === undefined)
    return {
      problem: {
        kind: 'unclear',
        word: other.text,
        question: `This speaks of ${ref} and of ${other.text.toUpperCase()}: say one at a time, or part them with a semicolon.`,
        maybe: [],
      },
    };
  if (copied && 'problem' in copied) return copied;
  const known = partOf(ref, context);
  const words = copied?.words ?? rest;
  const isMeasured = words.at(-1)?.text.toLowerCase() === 'measured';
  const said = isMeasured ? words.slice(0, -1) : words;
  const read = readPart(said, {
    ref,
    known,
    kind: copied?.model.kind && !known ? copied.model.kind : undefined,
    context,
  });
  if ('problem' in read) return { problem: read.problem, kept: keptOf(ref, known, read) };
  const { unplaced, corrected, placed } = read;
  const volts = words.some(({ text }) => SAYS_RATED.test(text))
    ? undefined
    : read.said.ratings.find(({ name }) => name === 'voltage');
  if (
    known?.kind === 'capacitor' &&
    volts &&
    !read.describes &&
    read.said.ratings.every(({ name, source }) => name === 'voltage' && source === 'decoded') &&
    words.length > 1 &&
    ratingNamed(words) === undefined
  )
    return {
      problem: {
        kind: 'unclear',
        word: words[0]?.text ?? '',
        question: `${volts.value} V: printed on ${ref}, or read off it, and when?`,
        maybe: [`${ref.toLowerCase()} voltage ${volts.value}V decoded`, `${ref.toLowerCase()} reads ${volts.value}V`],
      },
    };
  // A charge that is taken for a rating would be hidden from whoever takes hold of the part.
  if (known?.kind === 'capacitor' && volts && !isMadeVoltage(volts.value) && ratingNamed(words) === 'voltage')
    return {
      problem: {
        kind: 'unclear',
        word: words.find(({ text }) => /\d/.test(text))?.text ?? '',
        question: `Capacitors are not made for ${volts.value} V: read off ${ref} just now, or printed on it all the same?`,
        maybe: [`${ref.toLowerCase()} reads ${volts.value}V`, `${ref.toLowerCase()} voltage ${volts.value}V decoded`],
      },
    };
  const [stray] = unplaced;
  if (copied === undefined && placed === 0)
    return { problem: stray ? { kind: 'word-unknown', word: stray.text, ref } : { kind: 'nothing-said', ref } };
  // What rests on mended words alone is a guess, unless one word was all that was said.
  if (corrected.length >= placed && (stray ?? corrected.length > 1) && copied === undefined)
    return { problem: { kind: 'word-unknown', word: stray?.text ?? corrected[0]?.typed ?? '', ref } };
  if (stray && unplaced.length > MOST_UNPLACED && unplaced.length > 1.5 * placed)
    return { problem: { kind: 'word-unknown', word: stray.text, ref } };
  const ratings = isMeasured
    ? read.said.ratings.map((rating) => ({ ...rating, source: 'measured' as const }))
    : read.said.ratings;
  const judged = isMeasured ? ratings.find((rating) => isJudged(read.partKind, rating)) : undefined;
  if (judged) return { problem: { kind: 'measure-instead', ref, rating: judged.name } };
  const isValue = known !== undefined && !read.describes && copied === undefined && refs.length === 1;
  const record: BenchRecord = isValue
    ? { kind: 'value', ref, ratings }
    : partRecord(refs, { ...read, said: { ...read.said, ratings } }, copied?.model.ref);
  return { records: [record], corrected, unplaced, about: ref };
}

/** A word that says which rating a value is. */
const ratingNamed = (words: readonly Token[]) =>
  words
    .map(({ text }) => (text.length > 1 ? ratingFromWord(text, 'capacitor') : undefined))
    .find((name) => name !== undefined);

/** Whether a word names another part than those that are spoken of, rather than a number such as S8050. */
function isOtherPart(
  text: string,
  before: string | undefined,
  refs: readonly string[],
  context: BenchContext,
): boolean {
  const ref = text.toUpperCase();
  if (refs.includes(ref) || !isReference(text) || !isPrefix(text.replace(/\d.*$/, ''))) return false;
  if (partOf(ref, context)) return true;
  const isMarking = /^(?:marked|marking|printed)$/i.test(before ?? '') || /[a-z]$/i.test(text);
  // R22 is a value on a resistor, and X2 a class.
  const isValue = /^[xy][1-4]$/i.test(text) || (/^r\d/i.test(text) && /^R/.test(refs[0] ?? ''));
  return !isMarking && !isValue && (decodingsAs(text)[0]?.confidence ?? 0) < CLEARLY;
}

/** What is sure of a part while the rest is asked. */
function keptOf(ref: string, known: ContextPart | undefined, { kept }: Question): BenchRecord[] {
  if (!kept || known) return [];
  const { partKind, ...said } = kept;
  return partKind === undefined ? [] : [{ kind: 'part', ref, partKind, ...said }];
}

/** Whether a reference may be of the kind of a part: a capacitor is not the same as the chip above it. */
const mayBe = (ref: string, { kind }: ContextPart) => {
  const kinds = kindsOfReference(ref);
  return kinds.length === 0 || kinds.some(([name]) => name === kind);
};

/** `like q1`, `as q1`, `same`, `same as c6`: the part to copy, and the words without it. */
function readCopy(
  refs: readonly string[],
  rest: readonly Token[],
  { parts }: BenchContext,
): { model: ContextPart; words: readonly Token[] } | { problem: BenchProblem } | undefined {
  const at = rest.findIndex(
    ({ text }, index) => COPY_WORDS.test(text) && !/^(?:looks?|seems?|sounds?)$/i.test(rest[index - 1]?.text ?? ''),
  );
  const marked = rest.findIndex(({ text }) => meaningsOf(text).some(({ as }) => as === 'marked'));
  if (at < 0 || (marked >= 0 && marked < at)) return undefined;
  const word = rest[at]?.text ?? '';
  let to = at + 1;
  while (/^(?:as|like|the|one)$/i.test(rest[to]?.text ?? '')) to += 1;
  const name = rest[to]?.text ?? '';
  const isNamed = isReference(name) || (!/^(?:same|ditto|dito|idem)$/i.test(word) && name !== '');
  const model = isNamed
    ? parts.find((part) => part.ref === name.toUpperCase())
    : parts.filter((part) => !refs.includes(part.ref) && mayBe(refs[0] ?? '', part)).at(-1);
  if (!model) return { problem: { kind: 'nothing-to-copy', word: isNamed ? name.toUpperCase() : word } };
  const behind = isNamed ? to + 1 : to;
  const words = rest.slice(behind).filter(({ text }) => !/^(?:above|before|last|previous|one)$/i.test(text));
  return { model, words: [...rest.slice(0, at), ...words] };
}
