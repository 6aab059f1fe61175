import { parseQuantity } from '../quantity';
import { SUMS } from './sums';
import type { Field, Sum } from './sum';

/** What a line at the foot asks for: a sum, and what it typed for its fields. */
export interface SumLine {
  readonly sum: Sum;
  readonly texts: Readonly<Record<string, string>>;
  /** Words that were given no field. */
  readonly left: readonly string[];
}

/** Whether a word can be what a field asks for. */
function fits(field: Field, word: string): boolean {
  if (field.choices) return field.choices.some((one) => one.toLowerCase() === word.toLowerCase());
  return field.unit === undefined || parseQuantity(word, field.unit).ok;
}

/** Whether a word carries a unit of its own that this field has, so that it need not stand in its turn. */
const saysUnit = (field: Field, word: string): boolean =>
  field.unit !== undefined &&
  field.unit !== 'count' &&
  /[a-zA-ZΩµ%°]{1,3}$/.test(word) &&
  parseQuantity(word, field.unit).ok &&
  !parseQuantity(word, 'count').ok;

/**
 * Reads “snubber 4M4 100p 3M1”: the name of a sum, then values in the order of its fields; one that says another unit than the next field
 * goes to the first that takes it, and `field=value` names it.
 * @returns undefined where no sum has that name
 */
export function readSumLine(text: string): SumLine | undefined {
  const [name = '', ...words] = text.trim().split(/\s+/);
  const wanted = name.toLowerCase();
  const sum =
    SUMS.find(({ id }) => id === wanted) ??
    (wanted.length > 2 ? SUMS.find(({ id }) => id.startsWith(wanted)) : undefined);
  if (!sum) return undefined;
  const texts: Record<string, string> = {};
  const left: string[] = [];
  for (const word of words) {
    const [, id = '', value = ''] = /^([a-z]+)=(.+)$/i.exec(word) ?? [];
    const named = sum.fields.find((field) => field.id === id.toLowerCase());
    if (named) {
      texts[named.id] = value;
      continue;
    }
    const open = sum.fields.filter((field) => texts[field.id] === undefined);
    const next = open[0];
    const at =
      next && fits(next, word)
        ? next
        : (open.find((field) => saysUnit(field, word)) ?? open.find((field) => fits(field, word)));
    if (at) texts[at.id] = at.choices?.find((one) => one.toLowerCase() === word.toLowerCase()) ?? word;
    else left.push(word);
  }
  return { sum, texts, left };
}
