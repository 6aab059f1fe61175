'use server';

import { appContext } from '../../../db/appContext';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../shared/arguments';
import { addSample, removeSample } from './commands';

export async function addSampleAction(): Promise<FormOutcome> {
  return addSample(appContext());
}

export async function removeSampleAction(code: string): Promise<FormOutcome> {
  return removeSample(appContext(), key.parse(code));
}
