'use server';

import { z } from 'zod';
import { appContext } from '../../../db/appContext';
import { addStore, readStore, removeStore, listPartAsStore } from './commands';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { readingForm, storeForm } from './schema';
import { key, ofPart } from '../shared/arguments';

export async function addStoreAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(storeForm, data, (form) => addStore(appContext(), key.parse(code), form));
}

export async function readStoreAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(readingForm, data, (form) => readStore(appContext(), key.parse(code), form));
}

export async function removeStoreAction(code: string, name: string): Promise<FormOutcome> {
  return removeStore(appContext(), { code: key.parse(code), name: key.parse(name) });
}

export async function listPartAsStoreAction(of: z.input<typeof ofPart>): Promise<FormOutcome> {
  return listPartAsStore(appContext(), ofPart.parse(of));
}
