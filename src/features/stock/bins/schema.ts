import { z } from 'zod';
import { optionalPieces } from '../../../ui/form/fieldSchemas';

/** Pieces counted of a lot, from zero; blank was not counted. */
const counted = z.string().transform((text, context): number | undefined => {
  const value = Number(text.trim());
  if (text.trim() === '') return undefined;
  if (Number.isInteger(value) && value >= 0 && value <= 1_000_000) return value;
  context.addIssue({
    code: 'custom',
    message: `“${text.trim()}” is no count. A whole number is expected, 0 for none.`,
  });
  return z.NEVER;
});

/** Counts of a stocktake by the code of the lot. */
export const countForm = z
  .object({ counts: z.record(z.string(), counted).default({}) })
  .transform(({ counts }): Record<string, number> =>
    Object.fromEntries(Object.entries(counts).filter((entry): entry is [string, number] => entry[1] !== undefined)),
  );

export const capacityForm = z.object({ capacity: optionalPieces(1_000_000) });
