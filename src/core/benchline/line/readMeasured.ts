import { kindRule, RATINGS } from '../../part';
import { isPreferred } from '../../marking';
import { isFieldWord, namesReading, readMeasurement } from '../readMeasurement';
import { readReadings } from '../readReadings';
import type { BenchContext, BenchRecord, ContextPart } from '../record';
import type { Token } from '../tokens';
import { shorthandOf, valueOf } from '../values';
import { SAYS_RATED } from '../volts';
import { mended } from '../mend';
import { meaningsOf } from '../vocabulary';
import { type Outcome, partOf } from './outcome';

const isMeasureWord = (word: string | undefined) => {
  const key = word ?? '';
  if (meaningsOf(key).some(({ as }) => as === 'measures')) return true;
  const meant = meaningsOf(key).length === 0 ? mended(key) : undefined;
  return meant !== undefined && meaningsOf(meant).some(({ as }) => as === 'measures');
};

/** Voltages of a store by its name. */
export function readStoreLine(name: string, rest: readonly Token[]): Outcome {
  const read = readReadings(name, rest);
  if (!read)
    return { problem: { kind: 'value-unreadable', word: rest[0]?.text ?? name, expected: 'a voltage such as 212V' } };
  return 'problem' in read ? read : { records: read.records };
}

/**
 * Voltages of a part that stores charge. A capacitor that is no store yet needs a time, or a word that says it was read.
 * @returns undefined when the words are no reading of a store
 */
export function readCharge(
  name: string,
  rest: readonly Token[],
  known: ContextPart | undefined,
  context: BenchContext,
): Outcome | undefined {
  const isStore = context.stores.includes(name);
  const at = rest.findIndex(({ text }) => /^(?:rated|rating)$/i.test(text));
  const rating = at < 0 ? [] : rest.slice(at, at + 2);
  const typed = readReadings(name, at < 0 ? rest : rest.toSpliced(at, 2));
  const read = typed && 'records' in typed ? { ...typed, unplaced: [...typed.unplaced, ...rating] } : typed;
  const isTimed = rest.some(({ text }) => text.includes('@'));
  const mayStore = isStore || known?.kind === 'capacitor';
  if (!mayStore) return isTimed && read ? { problem: { kind: 'no-store', name } } : undefined;
  if (!read) return undefined;
  const isReadWord = rest.some(
    ({ text }) =>
      isMeasureWord(text) || /^(?:holds|holding|still|noch|encore|charged|discharged|bled|now|hält)$/i.test(text),
  );
  // Where a reading stands beside what is printed, it counts.
  if (!isTimed && !isReadWord && rest.some(({ text }) => SAYS_RATED.test(text))) return undefined;
  const isOnlyVolts = 'records' in read && read.unplaced.length === rating.length;
  if ('problem' in read) return isTimed || isReadWord || isStore || rest.length === 1 ? read : undefined;
  if (read.hasTime && (isOnlyVolts || isTimed)) return { records: read.records, unplaced: read.unplaced, about: name };
  // What a store shows is a reading of it, whatever else is said beside it.
  if (isStore && (isOnlyVolts || isReadWord || read.hasTime))
    return { records: read.records, unplaced: read.unplaced, about: name };
  if (!isOnlyVolts) return undefined;
  if (isReadWord) return { records: read.records, unplaced: read.unplaced, about: name };
  if (!known) return undefined;
  const word = rest.find(({ text }) => /\d/.test(text))?.text ?? '';
  return {
    problem: {
      kind: 'unclear',
      word,
      question: `${word}: printed on ${name}, or read off it just now?`,
      maybe: [`${name.toLowerCase()} voltage ${word} decoded`, `${name.toLowerCase()} reads ${word}`],
    },
  };
}

/** How far a reading may lie from what is printed for a value without a verb to be one. */
const READING_RANGE = 2;

/** Highest drop of a diode in diode mode. */
const MOST_DROP = 3;

/** Words of a sentence about a reading. */
const BESIDE = /^(?:and|is|of|at|about|a|the|just|with|it|has|an|on|to|my|primary|secondary|,)$/i;

/** What a meter said of parts that are logged: with a verb, with the name of a reading, or a value near what is known. */
export function readMeasured(
  refs: readonly string[],
  rest: readonly Token[],
  context: BenchContext,
): Outcome | undefined {
  const [ref = ''] = refs;
  const known = partOf(ref, context);
  const all = rest.map(({ text }) => text);
  // “reads 3 ohms, should be 4k7”: what it should be is no reading.
  const end = all.findIndex(
    (word, index) => index > 0 && /^(?:should|instead|expected|supposed|not|sollte)$/i.test(word),
  );
  const words = end < 0 ? all : all.slice(0, end);
  const verbAt = words.findIndex(
    (word, index) => isMeasureWord(word) && (index === 0 || word.toLowerCase() !== 'read'),
  );
  const hasVerb =
    verbAt === 0 ||
    (verbAt > 0 && words.slice(0, verbAt).every((word) => meaningsOf(word).length > 0 && !/\d/.test(word)));
  const isLast =
    verbAt === words.length - 1 &&
    verbAt > 0 &&
    /^(?:measured|gemessen|meter|dmm|multimeter)$/i.test(words[verbAt] ?? '');
  if (!known)
    return hasVerb && /\d|^ol$/i.test(words.slice(verbAt + 1).join(' '))
      ? { problem: { kind: 'no-part', ref } }
      : undefined;
  const oneWay = readOneWay(ref, known, words);
  if (oneWay) return oneWay;
  const isPlaced = /\b(?:in|out of)[- ]circuit\b/i.test(words.join(' '));
  const isOfPins = words.some((word) => /^(?:pins?|legs?)$/i.test(word));
  const isSourced = words.some((word) => /^(?:datasheet|typical|guessed|decoded)$/i.test(word));
  const spoken = words.filter((word, index) => index !== (hasVerb || isLast ? verbAt : -1));
  if (
    isLast &&
    words.length > 2 &&
    /^(?:measured|gemessen)$/i.test(words[verbAt] ?? '') &&
    !namesReading(words, known.kind)
  )
    return undefined;
  const isFraction = words.length === 2 && /^ds$/i.test(words[0] ?? '') && /^0?[.,]\d+$/.test(words[1] ?? '');
  if (isFraction)
    return {
      problem: {
        kind: 'unclear',
        word: words[1] ?? '',
        question: `${words[1] ?? ''} what? In diode mode it is the body diode, from source to drain.`,
        maybe: [`${ref.toLowerCase()} sd ${words[1] ?? ''}`, `${ref.toLowerCase()} ds ${words[1] ?? ''}R`],
      },
    };
  const isNamed = !isSourced && !isOfPins && /\d/.test(words.join('')) && namesReading(words, known.kind);
  if (hasVerb || isNamed || isLast || (isPlaced && /\d/.test(words.join('')))) {
    const isOut = /\bout of[- ]circuit\b/i.test(words.join(' '));
    const values = spoken.filter(
      (word) => !(isOut && /^(?:out|of|circuit)$/i.test(word)) && (isFieldWord(word, known.kind) || !BESIDE.test(word)),
    );
    if (refs.length > 1) return readEach(refs, values, context);
    const read = readMeasurement(ref, known.kind, values, isNamed || values.length > 1);
    return 'problem' in read ? read : { records: [read] };
  }
  if (refs.length > 1 || isSourced) return undefined;
  return readBareValue(
    ref,
    known,
    spoken.filter((word) => !/^[=:]$/.test(word)),
  );
}

/** `0.54 one way, open the other`: both ways of a diode. */
function readOneWay(ref: string, known: ContextPart, words: readonly string[]): Outcome | undefined {
  const line = words.join(' ');
  if (known.kind !== 'diode' || !/\bother\b/i.test(line) || !/\b(?:open|ol|nothing|infinite)\b/i.test(line))
    return undefined;
  const drops = words.filter((word) => /^[.,]?\d+(?:[.,]\d+)?m?V?$/i.test(word));
  if (drops.length !== 1) return undefined;
  const read = readMeasurement(ref, known.kind, [drops[0] ?? '', 'rev', 'OL']);
  return 'problem' in read ? read : { records: [read] };
}

/** `c10 c11 c12 measure 980u 1010u 640u`: one value each, in their order. */
function readEach(refs: readonly string[], values: readonly string[], context: BenchContext): Outcome {
  const shown = values.filter((word) => /\d|^ol$/i.test(word));
  if (shown.length !== refs.length)
    return {
      problem: {
        kind: 'unclear',
        word: refs[0] ?? '',
        question: `${refs.length} parts and ${shown.length} values: which is whose?`,
        maybe: [],
      },
    };
  const records: BenchRecord[] = [];
  for (const [index, ref] of refs.entries()) {
    const known = partOf(ref, context);
    if (!known) return { problem: { kind: 'no-part', ref } };
    const read = readMeasurement(ref, known.kind, [shown[index] ?? '']);
    if ('problem' in read) return read;
    records.push(read);
  }
  return { records };
}

/** A value alone on a part that is logged: a reading when it lies beside what is known, or is no value that is made. */
function readBareValue(ref: string, known: ContextPart, words: readonly string[]): Outcome | undefined {
  const [word = '', other = ''] = words;
  // Ohms beside microfarads are what a tester shows; no capacitor carries them in print.
  const isTester =
    known.kind === 'capacitor' &&
    words.length === 2 &&
    [word, other].every((one) =>
      ['farad', 'ohm'].includes(valueOf(one)?.unit ?? (shorthandOf(one, 'farad') ? 'farad' : '')),
    );
  if (isTester) {
    const both = readMeasurement(ref, known.kind, words);
    return 'problem' in both ? undefined : { records: [both] };
  }
  if (words.length !== 1) return undefined;
  // A bare fraction on a diode is what diode mode shows.
  if (known.kind === 'diode' && /^0?[.,]\d{2,4}$/.test(word)) {
    const read = readMeasurement(ref, known.kind, [`${word.replace(/^[.,]/, '0.')}V`]);
    return 'problem' in read ? undefined : { records: [read] };
  }
  const value = valueOf(word);
  if (
    known.kind === 'diode' &&
    value?.unit === 'volt' &&
    known.subtype !== 'zener' &&
    known.subtype !== 'tvs' &&
    Math.abs(value.quantity.value) < MOST_DROP
  ) {
    const read = readMeasurement(ref, known.kind, [word]);
    return 'problem' in read ? undefined : { records: [read] };
  }
  const { test } = kindRule(known.kind);
  const main =
    known.kind === 'resistor' || known.kind === 'potentiometer'
      ? 'resistance'
      : known.kind === 'capacitor'
        ? 'capacitance'
        : known.kind === 'inductor'
          ? 'inductance'
          : undefined;
  if (!test || !main) return undefined;
  const { unit } = RATINGS[main];
  const read = value
    ? value.unit === unit
      ? value.quantity
      : undefined
    : /^\d+$/.test(word)
      ? undefined
      : shorthandOf(word, unit);
  if (!read) return undefined;
  const printed = known.ratings?.[main];
  const isOther =
    printed === undefined
      ? !isMade(read.value)
      : read.value !== printed &&
        read.value < printed * READING_RANGE &&
        read.value > printed / READING_RANGE &&
        (!isMade(read.value) || Math.abs(read.value / printed - 1) < 0.1);
  if (!isOther) return undefined;
  const record = readMeasurement(ref, known.kind, [word]);
  return 'problem' in record ? undefined : { records: [record] };
}

/** Whether a value stands in a series of preferred values (IEC 60063). */
const isMade = isPreferred;
