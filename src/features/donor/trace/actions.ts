'use server';

import type { z } from 'zod';
import { appContext } from '../../../db/appContext';
import { recordTraced, removeFact } from './commands';
import { tracedEntry } from './schema';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../shared/arguments';

/** Drops one thing the meter was said to have told of a board. */
export async function removeFactAction(code: string, factId: string): Promise<FormOutcome> {
  return removeFact(appContext(), { code: key.parse(code), factId: key.parse(factId) });
}

/** Writes down what is said of two pins, or what a part is taken for. */
export async function recordTracedAction(code: string, entry: z.input<typeof tracedEntry>): Promise<FormOutcome> {
  return recordTraced(appContext(), key.parse(code), tracedEntry.parse(entry));
}
