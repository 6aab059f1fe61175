import { OPEN_WORDS, testFields, type Measured, type TestField } from '../measure';
import { kindRule, ratingFromWord, type KindName, type TestName } from '../part';
import { parseQuantity, UNITS } from '../quantity';
import type { BenchProblem, BenchRecord } from './record';
import { keyOf, meaningsOf } from './vocabulary';

/** Pins that a fingerprint on the line may name. */
const MOST_PINS = 64;

/** Everyday words for the fields of tests. */
const FIELD_SLANG: Readonly<Record<string, readonly string[]>> = {
  fwd: ['forward', 'body'],
  forward: ['forward', 'body'],
  vorwärts: ['forward', 'body'],
  drop: ['forward', 'body'],
  forwarddrop: ['forward', 'body'],
  rev: ['reverse', 'blocking'],
  backwards: ['reverse', 'blocking'],
  diodetest: ['forward', 'body'],
  diodemode: ['forward', 'body'],
  junction: ['forward', 'body'],
  ohms: ['resistance'],
  hfe: ['gain'],
};

/** The field of a test that words name, with how many of them; two words first. */
function fieldAt(
  words: readonly string[],
  index: number,
  fields: readonly TestField[],
): { field: TestField; used: number } | undefined {
  for (const used of [2, 1]) {
    const run = words.slice(index, index + used);
    if (run.length < used) continue;
    const key = keyOf(run.join(' '));
    const slang = Object.hasOwn(FIELD_SLANG, key) ? (FIELD_SLANG[key] ?? []) : [];
    const field =
      (used === 1
        ? fields.find(({ words: names, name }) => name.toLowerCase() === key || names.includes(key))
        : undefined) ?? slang.map((name) => fields.find((one) => one.name === name)).find((one) => one !== undefined);
    if (field) return { field, used };
  }
  return undefined;
}

/** Whether a word names any field of a kind's test, as “at” and “on” do of some. */
export function isFieldWord(word: string, kind: KindName): boolean {
  const { test } = kindRule(kind);
  return test !== undefined && fieldAt([word], 0, testFields(test, MOST_PINS)) !== undefined;
}

/** Whether a word names a reading of this kind's test that no rating shares, so that no verb is needed: `esr`, `fwd`. */
export function namesReading(words: readonly string[], kind: KindName): boolean {
  const { test } = kindRule(kind);
  if (!test) return false;
  const fields = testFields(test, MOST_PINS);
  return words.some((word, index) => {
    const found = fieldAt(words, index, fields);
    const rating = ratingFromWord(word, kind);
    return (
      found !== undefined &&
      (found.field.name === 'esr' || rating === undefined || !kindRule(kind).ratings.includes(rating)) &&
      !/^\d/.test(word) &&
      word.length > 1 &&
      !found.field.service
    );
  });
}

/**
 * What a meter said of a part: `4k69`, `78u esr 0.4`, `.52v fwd`, `sd 0.51 ds OL in-circuit`. A field without its name
 * is the next that is open, in the order of the test.
 * @param isLoose words that are no reading may stand behind one
 */
export function readMeasurement(
  ref: string,
  kind: KindName,
  words: readonly string[],
  isLoose = false,
): BenchRecord | { readonly problem: BenchProblem } {
  const { test } = kindRule(kind);
  if (!test) return { problem: { kind: 'no-test', ref, partKind: kind } };
  const fields = testFields(test, MOST_PINS);
  const inCircuit = /\bin[- ]circuit\b/i.test(words.join(' '));
  const left = words
    .join(' ')
    .replace(/\bin[- ]circuit\b/i, '')
    .split(/\s+/)
    .filter((word) => word !== '' && !/^[=:]$/.test(word));
  const values: Record<string, Measured> = {};
  for (let index = 0; index < left.length;) {
    const word = left[index] ?? '';
    const named = fieldAt(left, index, fields);
    // “.52v fwd”: the name may stand behind the value.
    const behind = named ? undefined : fieldAt(left, index + 1, fields);
    const isBehind =
      behind !== undefined &&
      readMeasured(word, behind.field) !== undefined &&
      fieldValueAt(left, index + 1 + behind.used, behind.field) === undefined;
    const field = named?.field ?? (isBehind ? behind.field : fields.find(({ name }) => !(name in values)));
    const text = named ? (left[index + named.used] ?? '') : word;
    if (!field) return { problem: { kind: 'word-unknown', word, ref } };
    if (/^\d+(?:[.,]\d+)?$/.test(text) && (field.unit === 'farad' || field.unit === 'henry')) {
      const unit = field.unit === 'farad' ? 'u' : field.name === 'inductance' ? 'uH' : 'u';
      return {
        problem: {
          kind: 'unclear',
          word: text,
          question: `${text} what? ${text} ${field.unit === 'farad' ? 'µF' : 'µH'} is likely.`,
          maybe: [`${ref.toLowerCase()} measures ${text}${unit}`],
        },
      };
    }
    const value = readMeasured(text, field) ?? (named ? undefined : byUnit(text, test, values));
    if (!value) {
      if (isLoose && (Object.keys(values).length > 0 || isSaid(word))) {
        index += 1;
        continue;
      }
      return {
        problem: {
          kind: 'value-unreadable',
          word: text || word,
          expected: field.choices
            ? `${field.label}: ${field.choices.map(({ label }) => label).join(' or ')}`
            : `a ${field.label} (${UNITS[field.unit].example}${field.open ? ' or OL' : ''})`,
        },
      };
    }
    if ('name' in value) values[value.name] = value.measured;
    else values[field.name] = value;
    index += named ? named.used + 1 : isBehind ? 1 + behind.used : 1;
  }
  if (Object.keys(values).length === 0) return { problem: { kind: 'nothing-said', ref } };
  return { kind: 'measurement', ref, test, values, inCircuit };
}

const isSaid = (word: string) => meaningsOf(word).length > 0;

const fieldValueAt = (words: readonly string[], index: number, field: TestField) =>
  readMeasured(words[index] ?? '', field);

/** A value whose unit only another field of the test has. */
function byUnit(
  text: string,
  test: TestName,
  values: Readonly<Record<string, Measured>>,
): { name: string; measured: Measured } | undefined {
  if (!/\d.*\p{L}|\d.*Ω/u.test(text)) return undefined;
  for (const field of testFields(test, MOST_PINS)) {
    if (field.name in values || field.choices || field.service) continue;
    const measured = readMeasured(text, field);
    if (measured) return { name: field.name, measured };
  }
  return undefined;
}

function readMeasured(text: string, field: TestField): Measured | undefined {
  if (field.open && (OPEN_WORDS as readonly string[]).includes(text.toLowerCase()))
    return { value: Infinity, resolution: 0 };
  if (field.choices) {
    const chosen = field.choices.find(({ label }) => label === text.toLowerCase());
    return chosen && { value: chosen.value, resolution: 0 };
  }
  const parsed = parseQuantity(text, field.unit);
  return parsed.ok ? { value: parsed.quantity.value, resolution: parsed.quantity.resolution } : undefined;
}
