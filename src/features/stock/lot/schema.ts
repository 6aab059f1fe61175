import { z } from 'zod';
import { readCode } from '../../../core/ident';
import { USE_NAMES } from '../../../core/measure';
import { COOLING_NAMES, MOUNTING_NAMES, PLUG_NAMES } from '../../../core/module';
import { KIND_NAMES, type KindName } from '../../../core/part';
import { choice, freeText, optionalQuantity, pieces } from '../../../ui/form/fieldSchemas';
import { binCode } from '../arguments';

export const lotForm = z.object({
  kind: z.enum(KIND_NAMES as [KindName, ...KindName[]]),
  package: freeText(20),
  values: freeText(200),
  marking: freeText(60),
  pieces: pieces(),
  grade: z.enum(['', 'A', 'B', 'C']),
  limit: z.enum(['', ...USE_NAMES]).default(''),
  bin: binCode,
});

/** What a whole supply of the drawers is like outside its circuit. */
export const fittingsForm = z.object({
  plug: choice(['', ...PLUG_NAMES]),
  cooling: choice(['', ...COOLING_NAMES]),
  mounting: choice(['', ...MOUNTING_NAMES]),
  protection: choice(['', 'I', 'II', 'III']),
  trimmedTo: optionalQuantity('volt'),
  ripple: optionalQuantity('volt'),
});

export const takeForm = z.object({ quantity: pieces(), note: freeText(200) });

export const moveForm = z.object({ bin: binCode });

const lotCode = z.string().transform((text, context) => {
  const read = readCode(text);
  if (read?.owner === 'lot') return read.code;
  context.addIssue({
    code: 'custom',
    message: `“${text.trim()}” is no lot’s code. Type it as it stands on the label.`,
  });
  return z.NEVER;
});

export const splitForm = z.object({ quantity: pieces(), bin: binCode });
/** Lots by their codes. */
export const lotCodes = z.array(lotCode).min(1).max(200);

export const joinForm = z.object({ from: lotCode });

const count = z.number().int().min(1).max(100_000);

/** What a person told the drawers to do in one line. */
export const stockCommand = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('move'), code: lotCode, bin: binCode }),
  z.object({ kind: z.literal('take'), code: lotCode, quantity: count, note: z.string().max(200) }),
  z.object({ kind: z.literal('split'), code: lotCode, quantity: count, bin: binCode }),
]);
