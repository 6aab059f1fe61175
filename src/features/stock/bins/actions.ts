'use server';

import { contextFor } from '../../../db/appContext';
import { countBin, sizeBin } from './commands';
import { capacityForm, countForm } from './schema';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../arguments';

export async function countBinAction(bin: string, data: FormData): Promise<FormOutcome> {
  return submit(countForm, data, (form) => countBin(contextFor(data), { bin: key.parse(bin), counts: form }));
}

export async function sizeBinAction(bin: string, data: FormData): Promise<FormOutcome> {
  return submit(capacityForm, data, (form) => sizeBin(contextFor(data), { bin: key.parse(bin), ...form }));
}
