import { parseQuantity, problemText, type Unit } from '../quantity';
import type { BenchProblem, BenchRecord } from './record';

/** What a word of a soak line may carry, told by its unit. */
const FIELDS: readonly {
  readonly unit: Unit;
  readonly ends: RegExp;
  readonly name: 'watts' | 'celsius' | 'volts' | 'load';
}[] = [
  { unit: 'celsius', ends: /\d\s*(?:°?c|degc)$/i, name: 'celsius' },
  { unit: 'watt', ends: /w$/i, name: 'watts' },
  { unit: 'volt', ends: /v$/i, name: 'volts' },
  { unit: 'ampere', ends: /a$/i, name: 'load' },
];

/** A row of a run under load: `soak 42W 51C 19.1V 2A @ 12min fan starts`. Words without a unit are the remark. */
export function readSoak(words: readonly string[]): BenchRecord | { readonly problem: BenchProblem } {
  const read: { watts?: number; celsius?: number; volts?: number; load?: number; elapsed?: number } = {};
  const remark: string[] = [];
  for (let index = 0; index < words.length; index += 1) {
    const word = words[index] ?? '';
    if (word.startsWith('@')) {
      const text = word === '@' ? (words[(index += 1)] ?? '') : word.slice(1);
      // “12 min” in two words is one time.
      const next = words[index + 1] ?? '';
      const isSplit = /^[\d.,]+$/.test(text) && /^(?:m|min|mins|minutes?|s|secs?|seconds?|h|hours?)$/i.test(next);
      const elapsed = parseQuantity(isSplit ? text + next : text, 'duration');
      if (isSplit) index += 1;
      if (!elapsed.ok && elapsed.problem.kind === 'no-unit')
        return {
          problem: {
            kind: 'unclear',
            word: text,
            question: problemText(elapsed.problem),
            maybe: ['min', 's'].map((unit) => `soak ${words.join(' ').replace(text, `${text}${unit}`)}`),
          },
        };
      if (!elapsed.ok) return { problem: { kind: 'negative-time', word: text || '@' } };
      read.elapsed = elapsed.quantity.value;
      continue;
    }
    const field = FIELDS.find(({ ends, name }) => read[name] === undefined && ends.test(word));
    const parsed = field && /\d/.test(word) ? parseQuantity(word, field.unit) : undefined;
    if (field && parsed?.ok) read[field.name] = parsed.quantity.value;
    else remark.push(word);
  }
  const { elapsed: _elapsed, ...values } = read;
  if (Object.keys(values).length === 0 && remark.length === 0)
    return { problem: { kind: 'nothing-said', ref: 'soak' } };
  return { kind: 'soak', ...read, remark: remark.join(' ') };
}
