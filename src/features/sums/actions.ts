'use server';

import { z } from 'zod';
import { appContext } from '../../db/appContext';
import type { FormOutcome } from '../../ui/form/outcome';
import { dropSum, keepSum } from './commands';

const word = z.string().min(1).max(64);
const kept = z.object({ from: word, sum: word, typed: z.record(word, z.string().max(2000)) });

export async function keepSumAction(of: z.input<typeof kept>): Promise<FormOutcome> {
  return keepSum(appContext(), kept.parse(of));
}

export async function dropSumAction(code: string, id: string): Promise<FormOutcome> {
  return dropSum(appContext(), { code: word.parse(code), id: word.parse(id) });
}
