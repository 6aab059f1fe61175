import { z } from 'zod';
import { KIND_NAMES, type KindName } from '../../core/part';
import { BIN_CODE } from '../../core/ident';
import { freeText, pieces } from '../../ui/form/fieldSchemas';

const bin = z.string().trim().toUpperCase().regex(BIN_CODE.pattern, BIN_CODE.expected);

export const lotForm = z.object({
  kind: z.enum(KIND_NAMES as [KindName, ...KindName[]]),
  package: freeText(20),
  values: freeText(200),
  marking: freeText(60),
  pieces: pieces(),
  grade: z.enum(['', 'A', 'B', 'C']),
  bin,
});

export const takeForm = z.object({ quantity: pieces(), note: freeText(200) });

export const moveForm = z.object({ bin });
