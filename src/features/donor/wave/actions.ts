'use server';

import { z } from 'zod';
import { appContext } from '../../../db/appContext';
import type { FormOutcome } from '../../../ui/form/outcome';
import { ofPart } from '../shared/arguments';
import { keepFinding } from './commands';

const measured = z.object({ value: z.number().finite(), resolution: z.number().nonnegative() });
const values = z.record(z.string().max(40), measured).refine((fields) => Object.keys(fields).length > 0);

export async function keepFindingAction(
  of: z.input<typeof ofPart>,
  found: z.input<typeof values>,
): Promise<FormOutcome> {
  return keepFinding(appContext(), ofPart.parse(of), values.parse(found));
}
