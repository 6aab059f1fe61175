import { z } from 'zod';
import { USE_NAMES } from '../../core/measure';
import { KIND_NAMES, type KindName } from '../../core/part';
import { BIN_CODE, readCode } from '../../core/ident';
import { freeText, optionalPieces, pieces, requiredText } from '../../ui/form/fieldSchemas';

const bin = z.string().trim().toUpperCase().regex(BIN_CODE.pattern, BIN_CODE.expected);

export const lotForm = z.object({
  kind: z.enum(KIND_NAMES as [KindName, ...KindName[]]),
  package: freeText(20),
  values: freeText(200),
  marking: freeText(60),
  pieces: pieces(),
  grade: z.enum(['', 'A', 'B', 'C']),
  limit: z.enum(['', ...USE_NAMES]).default(''),
  bin,
});

export const takeForm = z.object({ quantity: pieces(), note: freeText(200) });

export const moveForm = z.object({ bin });

const lotCode = z.string().transform((text, context) => {
  const read = readCode(text);
  if (read?.owner === 'lot') return read.code;
  context.addIssue({
    code: 'custom',
    message: `“${text.trim()}” is no lot’s code. Type it as it stands on the label.`,
  });
  return z.NEVER;
});

export const splitForm = z.object({ quantity: pieces(), bin });
export const joinForm = z.object({ from: lotCode });
export const capacityForm = z.object({ capacity: optionalPieces(1_000_000) });

/** Counts of a stocktake: `count:` and the lot's code, whole numbers from nought; blank was not counted. */
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

export const filterForm = z.object({
  name: requiredText('Give it a name, like switches for 230 V.', 60),
  filter: requiredText('Ask stock something first, then keep the question.', 200),
});
