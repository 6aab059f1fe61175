import { OPEN_WORDS, testFields, type Measured, type TestField } from '../measure';
import { kindRule, type KindName } from '../part';
import { parseQuantity, UNITS } from '../quantity';
import type { BenchProblem, BenchRecord } from './record';

/** Pins that a fingerprint on the line may name. */
const MOST_PINS = 64;

/** What a meter said of a part: `4k69`, `78u esr 0.4`, `sd 0.51 ds OL in-circuit`. */
export function readMeasurement(
  ref: string,
  kind: KindName,
  words: readonly string[],
): BenchRecord | { readonly problem: BenchProblem } {
  const { test } = kindRule(kind);
  if (!test) return { problem: { kind: 'no-test', ref, partKind: kind } };
  const fields = testFields(test, MOST_PINS);
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
          expected: field.choices
            ? `${field.label}: ${field.choices.map(({ label }) => label).join(' or ')}`
            : `a ${field.label} (${UNITS[field.unit].example}${field.open ? ' or OL' : ''})`,
        },
      };
    values[field.name] = value;
    index += named ? 2 : 1;
  }
  if (Object.keys(values).length === 0) return { problem: { kind: 'nothing-said', ref } };
  return { kind: 'measurement', ref, test, values, inCircuit };
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
