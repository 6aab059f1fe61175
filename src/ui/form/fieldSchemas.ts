import { z } from 'zod';
import { parseQuantity, problemText, type Quantity, type Unit } from '../../core/quantity';
import { fieldName, nestFields } from './nest';
import type { FormOutcome, FormProblem } from './outcome';

/** A text field, trimmed; the message stands for a blank one. */
export function requiredText(message: string, longest = 200) {
  return z.string().trim().min(1, message).max(longest, `At most ${longest} characters, please.`);
}

/** A text field that may be blank. */
export function freeText(longest = 2000) {
  return z.string().trim().max(longest, `At most ${longest} characters, please.`).default('');
}

/** A field in engineering shorthand; blank is refused. */
export function requiredQuantity(unit: Unit) {
  return z.string().transform((text, context): Quantity => read(text, unit, context));
}

/** A field in engineering shorthand; blank is missing, never 0. */
export function optionalQuantity(unit: Unit) {
  return z
    .string()
    .default('')
    .transform((text, context): Quantity | undefined => (text.trim() === '' ? undefined : read(text, unit, context)));
}

/** A whole number from 1 up. */
export function pieces(most = 100000) {
  return z.string().transform((text, context): number => {
    const value = Number(text.trim());
    if (text.trim() !== '' && Number.isInteger(value) && value >= 1 && value <= most) return value;
    context.addIssue({
      code: 'custom',
      message: `“${text.trim()}” is not a number of pieces. Write a whole number from 1 to ${most}.`,
    });
    return z.NEVER;
  });
}

/** A whole number from 1 up, or nothing. */
export function optionalPieces(most = 100000) {
  return z
    .string()
    .default('')
    .transform((text, context): number | undefined => {
      if (text.trim() === '') return undefined;
      const read = pieces(most).safeParse(text);
      if (read.success) return read.data;
      context.addIssue({ code: 'custom', message: read.error.issues[0]?.message ?? 'A whole number is expected.' });
      return z.NEVER;
    });
}

/** One of a few words; a field that is missing counts as the empty one. */
export function choice<const T extends readonly ['', ...string[]]>(words: T) {
  return z.enum(words).default('' as never);
}

/** A box that is ticked or not. */
export const tick = z
  .string()
  .optional()
  .transform((value) => value !== undefined);

function read(text: string, unit: Unit, context: z.RefinementCtx): Quantity {
  const parsed = parseQuantity(text, unit);
  if (parsed.ok) return parsed.quantity;
  context.addIssue({ code: 'custom', message: problemText(parsed.problem) });
  return z.NEVER;
}

/** Those of several choices that are ticked; none is an empty list. */
export function ticked<const Word extends string>(words: readonly Word[]) {
  return z.array(z.enum(words)).max(words.length).default([]);
}

/** A form held against its schema: the values, or a problem for each field that was refused. */
export function readForm<T extends z.ZodType>(
  schema: T,
  data: FormData,
): { ok: true; values: z.output<T> } | { ok: false; problems: FormProblem[] } {
  const parsed = schema.safeParse(nestFields(data));
  if (parsed.success) return { ok: true, values: parsed.data };
  return {
    ok: false,
    problems: parsed.error.issues.map(({ path, message }) =>
      path.length ? { field: fieldName(path), message } : { message },
    ),
  };
}

/** Holds a form against its schema and hands its values on, or answers with the problems. */
export async function submit<T extends z.ZodType>(
  schema: T,
  data: FormData,
  work: (values: z.output<T>) => Promise<FormOutcome>,
): Promise<FormOutcome> {
  const form = readForm(schema, data);
  return form.ok ? work(form.values) : form;
}
