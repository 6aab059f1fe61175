'use server';

import { type z } from 'zod';
import { appContext, contextFor } from '../../../db/appContext';
import {
  addStore,
  correctStore,
  latchReading,
  listPartAsStore,
  noteMeterCheck,
  noteTool,
  readStore,
  removeStore,
} from './commands';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { latchedReading, readingOf, readingForm, storeForm, toolNote } from './schema';
import { key, ofPart } from '../shared/arguments';

export async function addStoreAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(storeForm, data, (form) => addStore(appContext(), key.parse(code), form));
}

export async function correctStoreAction(of: { code: string; name: string }, data: FormData): Promise<FormOutcome> {
  const store = { code: key.parse(of.code), name: key.parse(of.name) };
  return submit(storeForm, data, (form) => correctStore(contextFor(data), store, form));
}

/** Adds a typed reading; one without a time of its own takes that of the stopwatch. */
export async function readStoreAction(of: z.input<typeof readingOf>, data: FormData): Promise<FormOutcome> {
  const { code, elapsed } = readingOf.parse(of);
  return submit(readingForm, data, (form) => readStore(appContext(), code, form, elapsed));
}

export async function removeStoreAction(code: string, name: string): Promise<FormOutcome> {
  return removeStore(appContext(), { code: key.parse(code), name: key.parse(name) });
}

export async function listPartAsStoreAction(of: z.input<typeof ofPart>): Promise<FormOutcome> {
  return listPartAsStore(appContext(), ofPart.parse(of));
}

/** Records what the meter showed, with the stopwatch's time when it ran. */
export async function latchReadingAction(code: string, latched: z.input<typeof latchedReading>): Promise<FormOutcome> {
  return latchReading(appContext(), key.parse(code), latchedReading.parse(latched));
}

export async function noteMeterCheckAction(code: string): Promise<FormOutcome> {
  return noteMeterCheck(appContext(), key.parse(code));
}

export async function noteToolAction(code: string, note: z.input<typeof toolNote>): Promise<FormOutcome> {
  return noteTool(appContext(), key.parse(code), toolNote.parse(note));
}
