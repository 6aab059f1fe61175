import { SOURCES } from '../evidence';
import { OPEN_WORDS, TESTS, type Measured } from '../measure';
import {
  DAMAGE_WORDS,
  kindFromReference,
  kindFromWord,
  kindRule,
  packageFromWord,
  SUBTYPES,
  type KindName,
} from '../part';
import { parseQuantity, UNITS } from '../quantity';
import { describeRecord } from './describeRecord';
import { ratingFromPair, ratingFromToken } from './readRatings';
import { readSoak } from './readSoak';
import { readStore } from './readStore';
import type { BenchContext, BenchProblem, BenchRecord, TypedRating, Understanding } from './record';
import { volts } from './volts';

type Outcome = BenchRecord | { readonly problem: BenchProblem };

const REFERENCE = /^[a-z]{1,4}\d{1,4}[a-z]?$/i;
const MEASURES = ['measures', 'measured', 'reads'];

/**
 * Reads one bench line: a part (`q1 nmos to-220 marked 12N65`), a value (`q1 vds 650V datasheet`),
 * a measurement (`r12 measures 4k69`), a reading of a store (`vbus 212V @ 15s`), a store
 * (`store c3 82u 400V bleed 470k`), a note (`# glue under T1`) or a question (`? who made U1`).
 * It records nothing; it says what it understood or the first word it did not.
 */
export function understand(line: string, context: BenchContext): Understanding {
  const outcome = read(line.trim(), context);
  return 'problem' in outcome
    ? { ok: false, problem: outcome.problem }
    : { ok: true, record: outcome, says: describeRecord(outcome) };
}

function read(line: string, context: BenchContext): Outcome {
  if (line === '') return { problem: { kind: 'empty' } };
  const note = /^(\?|#|note\b|ask\b)\s*(.*)$/i.exec(line);
  if (note) {
    const text = note[2] ?? '';
    return text
      ? { kind: 'note', text, question: note[1] === '?' || note[1]?.toLowerCase() === 'ask' }
      : { problem: { kind: 'empty' } };
  }
  const [first = '', ...rest] = line.split(/\s+/);
  if (first.toLowerCase() === 'store') return readStore(rest);
  if (first.toLowerCase() === 'soak') return readSoak(rest);
  if (first.toLowerCase() === 'power') {
    const applied = rest[0]?.toLowerCase() === 'on';
    if (!applied && rest[0]?.toLowerCase() !== 'off')
      return { problem: { kind: 'value-unreadable', word: rest[0] ?? 'power', expected: '“on” or “off”' } };
    return { kind: 'power', applied };
  }

  const subject = first.toUpperCase();
  const isStore = context.stores.includes(subject);
  const part = context.parts.find(({ ref }) => ref === subject);
  const mentionsTime = rest.some((word) => word.includes('@'));
  if (!REFERENCE.test(first) && !isStore)
    return { problem: mentionsTime ? { kind: 'no-store', name: subject } : { kind: 'no-subject', word: first } };
  if (mentionsTime || (isStore && rest.length === 1 && volts(rest[0] ?? '')))
    return readReading(subject, rest, isStore);
  if (rest.length === 0) return { problem: { kind: 'nothing-said', ref: subject } };
  if (MEASURES.includes(rest[0]?.toLowerCase() ?? '')) {
    if (!part) return { problem: { kind: 'no-part', ref: subject } };
    return readMeasurement(subject, part.kind, rest.slice(1));
  }
  return readPartOrValue(subject, part?.kind, rest);
}

function readReading(store: string, words: readonly string[], known: boolean): Outcome {
  if (!known) return { problem: { kind: 'no-store', name: store } };
  const [before = '', after] = words.join(' ').split('@');
  const voltage = parseQuantity(before, 'volt');
  if (!voltage.ok)
    return { problem: { kind: 'value-unreadable', word: before.trim(), expected: 'a voltage such as 212V' } };
  if (after === undefined) return { kind: 'reading', store, voltage: voltage.quantity };
  const elapsed = parseQuantity(after, 'second');
  if (!elapsed.ok) return { problem: { kind: 'negative-time', word: after.trim() || '@' } };
  return { kind: 'reading', store, voltage: voltage.quantity, elapsed: elapsed.quantity.value };
}

function readMeasurement(ref: string, kind: KindName, words: readonly string[]): Outcome {
  const { test } = kindRule(kind);
  if (!test) return { problem: { kind: 'no-test', ref, partKind: kind } };
  const { fields } = TESTS[test];
  const inCircuit = /\bin[- ]circuit\b/i.test(words.join(' '));
  const left = words
    .join(' ')
    .replace(/\bin[- ]circuit\b/i, '')
    .split(/\s+/)
    .filter((word) => word !== '');
  const values: Record<string, Measured> = {};
  let index = 0;
  while (index < left.length) {
    const word = left[index] ?? '';
    const named = fields.find(
      ({ words: names, name }) => name === word.toLowerCase() || names.includes(word.toLowerCase()),
    );
    const field = named ?? fields.find(({ name }) => !(name in values));
    const text = named ? (left[index + 1] ?? '') : word;
    if (!field) return { problem: { kind: 'word-unknown', word, ref } };
    const value = readMeasured(text, field);
    if (!value)
      return {
        problem: {
          kind: 'value-unreadable',
          word: text || word,
          expected: `a ${field.label} (${UNITS[field.unit].example}${field.open ? ' or OL' : ''})`,
        },
      };
    values[field.name] = value;
    index += named ? 2 : 1;
  }
  if (Object.keys(values).length === 0) return { problem: { kind: 'nothing-said', ref } };
  return { kind: 'measurement', ref, test, values, inCircuit };
}

function readMeasured(
  text: string,
  field: { readonly unit: (typeof TESTS)['diode']['fields'][number]['unit']; readonly open: boolean },
): Measured | undefined {
  if (field.open && (OPEN_WORDS as readonly string[]).includes(text.toLowerCase()))
    return { value: Infinity, resolution: 0 };
  const parsed = parseQuantity(text, field.unit);
  return parsed.ok ? { value: parsed.quantity.value, resolution: parsed.quantity.resolution } : undefined;
}

function readPartOrValue(ref: string, knownKind: KindName | undefined, said: readonly string[]): Outcome {
  const dated = said.findIndex((word) => word.toLowerCase() === 'dated');
  const code = dated < 0 ? undefined : (said[dated + 1] ?? '');
  if (code !== undefined && !/^[a-z0-9]{2,6}$/i.test(code))
    return { problem: { kind: 'value-unreadable', word: code || 'dated', expected: 'a date code such as 2314' } };
  const words = dated < 0 ? said : [...said.slice(0, dated), ...said.slice(dated + 2)];
  const named = words.map(kindFromWord).filter((kind) => kind !== undefined);
  const stated =
    named.find((kind) => kind !== 'diode') ??
    named[0] ??
    words.map((word) => SUBTYPES[word.toLowerCase()]).find((kind) => kind !== undefined);
  const partKind = stated ?? knownKind ?? kindFromReference(ref);
  if (!partKind) return { problem: { kind: 'kind-unknown', ref } };

  const source = words
    .map((word) => SOURCES.find((name) => name === word.toLowerCase()))
    .find((found) => found !== undefined);
  const facts: { subtype?: string; package?: string; marking?: string; damage: string[]; ratings: TypedRating[] } = {
    damage: [],
    ratings: [],
  };
  let describesPart = stated !== undefined || knownKind === undefined || code !== undefined;
  let index = 0;
  while (index < words.length) {
    const word = words[index] ?? '';
    const lower = word.toLowerCase();
    const next = words[index + 1];
    const pair = next === undefined ? undefined : ratingFromPair(word, next, partKind, source ?? 'decoded');
    const single = ratingFromToken(word, partKind, source ?? 'decoded');
    if (lower === 'marked') {
      const behind = words.slice(index + 1);
      // No marking ends in a word such as “burnt”: what is wrong with the part may follow it.
      while (behind.length > 1 && isDamage(behind.at(-1))) facts.damage.push(behind.pop()?.toLowerCase() ?? '');
      const marking = behind.join(' ');
      if (!marking) return { problem: { kind: 'value-unreadable', word: 'marked', expected: 'the marking behind it' } };
      facts.marking = marking.toUpperCase();
      describesPart = true;
      break;
    } else if (lower === '=' || source === lower) {
      // joins a value to its reference, or names its source: carries nothing of its own
    } else if (kindFromWord(word) === partKind || describesKind(lower, partKind)) {
      if (SUBTYPES[lower]) facts.subtype = lower;
      describesPart = true;
    } else if (packageFromWord(word)) {
      facts.package = packageFromWord(word) as string;
      describesPart = true;
    } else if (isDamage(word)) {
      facts.damage.push(lower);
      describesPart = true;
    } else if (pair && 'expected' in pair) {
      return { problem: { kind: 'value-unreadable', word: next ?? '', expected: pair.expected } };
    } else if (pair) {
      facts.ratings.push(pair);
      index += 1;
    } else if (single) facts.ratings.push(single);
    else return { problem: { kind: 'word-unknown', word, ref } };
    index += 1;
  }
  const judged = facts.ratings.find((rating) => rating.source === 'measured' && isJudged(partKind, rating));
  if (judged) return { problem: { kind: 'measure-instead', ref, rating: judged.name } };
  if (!describesPart && facts.ratings.length > 0) return { kind: 'value', ref, ratings: facts.ratings };
  return { kind: 'part', ref, partKind, ...facts, ...(code === undefined ? {} : { dateCode: code.toUpperCase() }) };
}

/** Whether the bench test of a kind holds this rating against what is printed. */
function isJudged(kind: KindName, { name }: TypedRating): boolean {
  const { test } = kindRule(kind);
  return test !== undefined && TESTS[test].fields.some(({ rating }) => rating === name);
}

function isDamage(word: string | undefined): boolean {
  return (DAMAGE_WORDS as readonly string[]).includes(word?.toLowerCase() ?? '');
}

/** Whether a subtype word such as schottky fits the kind; a dual rectifier takes those of a diode. */
function describesKind(word: string, kind: KindName): boolean {
  const owner = SUBTYPES[word];
  return owner === kind || (owner === 'diode' && kind === 'dual-diode');
}
