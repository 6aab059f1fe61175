import { z } from 'zod';
import { DAMAGE_NAMES, METHODS, SEAM_NAMES } from '../../../core/opening';
import { choice, freeText, optionalPieces, optionalQuantity } from '../../../ui/form/fieldSchemas';

export const openingStepForm = z.object({
  seam: z.enum(SEAM_NAMES),
  method: choice(['', ...METHODS]),
  drive: freeText(40),
  count: optionalPieces(200),
  place: freeText(120),
  minutes: optionalQuantity('duration'),
  damage: z.enum(DAMAGE_NAMES),
  kept: freeText(120),
});
export type OpeningStepForm = z.output<typeof openingStepForm>;

export const reassemblyForm = z.object({
  result: z.enum(['works', 'closed', 'loose', 'not-possible']),
  remark: freeText(200),
});
