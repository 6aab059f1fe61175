import { z } from 'zod';
import { KIND_NAMES } from '../../core/part';
import { freeText, requiredText } from '../../ui/form/fieldSchemas';

const typeName = requiredText('A number such as IRF840 is expected.', 60).transform((name) => name.toUpperCase());

export const typeForm = z.object({
  kind: z.enum(KIND_NAMES),
  name: typeName,
  technology: freeText(40),
  package: freeText(30),
  note: freeText(1000),
});
export type TypeForm = z.output<typeof typeForm>;

export const typeRatingForm = z.object({
  rating: z.string().max(30),
  value: z.string().max(60),
  source: z.enum(['datasheet', 'decoded', 'typed', 'remembered', 'typical', 'guessed']),
  page: z
    .string()
    .trim()
    .regex(/^\d{0,4}$/, 'A page number such as 3 is expected.')
    .default('')
    .transform((page) => (page === '' ? null : Number(page))),
});
export type TypeRatingForm = z.output<typeof typeRatingForm>;

export const aliasForm = z.object({ name: typeName });
/** The other type to take in, by its number. */
export const mergeForm = z.object({ name: typeName });
