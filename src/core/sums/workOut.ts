import { formatQuantity, parseQuantity, problemText } from '../quantity';
import { TOUCH_LIMIT_DC } from '../safety';
import type { Field, Sum, Worked } from './sum';

/** What is to be said of one field: how it was read, or what is wrong with it. */
export interface FieldState {
  readonly says?: string;
  readonly problem?: string;
}

/** A sum worked out of what was typed. */
export interface Outcome {
  readonly worked?: Worked;
  /** What is wrong that is not one field’s. */
  readonly problem?: string;
  readonly fields: Readonly<Record<string, FieldState>>;
}

/** Reads what was typed for a sum, and works it out where all of it can be read. @param texts by field; what is left out is as usual @param of.touch the shop’s limit of touch, volts */
export function workOut(
  sum: Sum,
  texts: Readonly<Record<string, string>>,
  { touch = TOUCH_LIMIT_DC.volts }: { readonly touch?: number } = {},
): Outcome {
  const fields: Record<string, FieldState> = {};
  const numbers = new Map<string, number>();
  const words = new Map<string, string>();
  for (const field of sum.fields) {
    const text = texts[field.id] ?? field.usual;
    words.set(field.id, text);
    const read = readField(field, text);
    fields[field.id] = read.state;
    if (read.value !== undefined) numbers.set(field.id, read.value);
  }
  if (Object.values(fields).some(({ problem }) => problem !== undefined)) return { fields };
  const came = sum.work({
    n: (id) => numbers.get(id) ?? NaN,
    maybe: (id) => numbers.get(id),
    t: (id) => words.get(id) ?? '',
    touch,
  });
  if (!('wrong' in came)) return { worked: came, fields };
  const { field } = came;
  if (field === undefined || !(field in fields)) return { problem: came.wrong, fields };
  return { fields: { ...fields, [field]: { problem: came.wrong } } };
}

function readField(field: Field, text: string): { readonly value?: number; readonly state: FieldState } {
  const { unit, choices, label, isOptional, isSigned, mayBeZero } = field;
  if (text.trim() === '') return { state: isOptional ? {} : { problem: `Type the ${label}.` } };
  if (choices)
    return { state: choices.includes(text) ? {} : { problem: `“${text}” is none of ${choices.join(', ')}.` } };
  if (unit === undefined) return { state: {} };
  const parsed = parseQuantity(text, unit);
  if (!parsed.ok) return { state: { problem: problemText(parsed.problem) } };
  const { value, unusual } = parsed.quantity;
  if (value < 0 && !isSigned && unit !== 'celsius')
    return { state: { problem: `“${text}”: more than zero is expected.` } };
  if (value === 0 && !isSigned && !mayBeZero && unit !== 'celsius')
    return { state: { problem: `“${text}”: more than zero is expected.` } };
  const says = unit === 'count' ? '' : formatQuantity(value, unit, { digits: 4 });
  return { value, state: { says: unusual ? `${says}: as much as that?` : says } };
}
