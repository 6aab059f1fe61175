import { z } from 'zod';
import { optionalPieces } from '../../../ui/form/fieldSchemas';

/** Counts of a stocktake: `count:` and the lot's code, whole numbers from zero; blank was not counted. */
export const countForm = z.record(z.string(), z.string()).transform((fields, context) => {
  const counts: Record<string, number> = {};
  for (const [name, text] of Object.entries(fields)) {
    const code = /^count:(.+)$/.exec(name)?.[1];
    if (!code || text.trim() === '') continue;
    const value = Number(text.trim());
    if (Number.isInteger(value) && value >= 0 && value <= 1_000_000) counts[code] = value;
    else
      context.addIssue({
        code: 'custom',
        path: [name],
        message: `“${text.trim()}” is no count. A whole number is expected, 0 for none.`,
      });
  }
  return counts;
});

export const capacityForm = z.object({ capacity: optionalPieces(1_000_000) });
