'use server';

import { type z } from 'zod';
import { appContext } from '../../../db/appContext';
import { measurePart } from './commands';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { measurementForm } from './schema';
import { ofPart } from '../shared/arguments';

export async function measurePartAction(of: z.input<typeof ofPart>, data: FormData): Promise<FormOutcome> {
  return submit(measurementForm, data, (form) => measurePart(appContext(), ofPart.parse(of), form));
}
