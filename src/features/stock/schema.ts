import { z } from 'zod';
import { freeText, pieces } from '../../ui/form/fieldSchemas';

export const takeForm = z.object({ quantity: pieces(), note: freeText(200) });

export const moveForm = z.object({
  bin: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z0-9][A-Z0-9-]{0,11}$/, 'A bin such as C2-5 is expected: letters, digits and dashes.'),
});
