'use server';

import { appContext } from '../../../db/appContext';
import { removeFilter, saveFilter } from './commands';
import { latestStockSteps } from '../../../db/repositories/stockSteps';
import { filterForm } from './schema';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../arguments';

export async function saveFilterAction(data: FormData): Promise<FormOutcome> {
  return submit(filterForm, data, (form) => saveFilter(appContext(), form));
}

export async function removeFilterAction(id: string): Promise<FormOutcome> {
  return removeFilter(appContext(), key.parse(id));
}

/** The change of stock that `undo` means: the newest that still stands. */
export async function latestStepAction(): Promise<string | undefined> {
  const [newest] = await latestStockSteps(appContext().db.read, { limit: 1, current: true });
  return newest?.id;
}
