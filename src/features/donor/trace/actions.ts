'use server';

import { appContext } from '../../../db/appContext';
import { removeFact } from './commands';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../shared/arguments';

/** Drops one thing the meter was said to have told of a board. */
export async function removeFactAction(code: string, factId: string): Promise<FormOutcome> {
  return removeFact(appContext(), { code: key.parse(code), factId: key.parse(factId) });
}
