import { z } from 'zod';
import { ISSUE_STATUSES } from '../../../core/benchline';
import { STATIONS } from '../../../core/station';
import { freeText, requiredText } from '../../../ui/form/fieldSchemas';

export const noteForm = z.object({
  station: z.enum(STATIONS),
  ref: freeText(10),
  text: requiredText('There is nothing to note yet. Write what you saw.', 2000),
  sort: z.enum(['note', 'question', 'claim']).default('note'),
});

export const statusForm = z.object({ status: z.enum(ISSUE_STATUSES), because: freeText(300) });
