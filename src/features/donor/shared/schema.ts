import { z } from 'zod';
import { STANDINGS } from '../../../core/benchline';
import { STATIONS } from '../../../core/station';
import { freeText, requiredText } from '../../../ui/form/fieldSchemas';

export const noteForm = z.object({
  station: z.enum(STATIONS),
  ref: freeText(10),
  text: requiredText('There is nothing to note yet. Write what you saw.', 2000),
  sort: z.enum(['note', 'question', 'claim']).default('note'),
});

export const standingForm = z.object({ standing: z.enum(STANDINGS), because: freeText(300) });
