'use server';

import { z } from 'zod';
import { appContext, contextFor } from '../../db/appContext';
import { readForm, submit } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { meterCheckForm, meterForm, ownWordForm, settingsForm } from './schema';
import { askMeter, checkOwnMeter, keepMeter, keepOwnWord, keepSettings, removeMeter, removeOwnWord } from './commands';

export async function keepSettingsAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(settingsForm, data);
  return form.ok ? keepSettings(contextFor(data), form.values) : form;
}

export async function askMeterAction(): Promise<FormOutcome> {
  return askMeter(appContext());
}

export async function keepMeterAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(meterForm, data);
  return form.ok ? keepMeter(appContext(), form.values) : form;
}

export async function checkMeterAction(data: FormData): Promise<FormOutcome> {
  return submit(meterCheckForm, data, (form) => checkOwnMeter(appContext(), form));
}

export async function removeMeterAction(name: string): Promise<FormOutcome> {
  return removeMeter(appContext(), z.string().min(1).max(60).parse(name));
}

export async function keepOwnWordAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(ownWordForm, data);
  return form.ok ? keepOwnWord(appContext(), form.values) : form;
}

/** Keeps a word that was offered. */
export async function keepOfferedAction(own: z.input<typeof ownWordForm>): Promise<FormOutcome> {
  return keepOwnWord(appContext(), ownWordForm.parse(own));
}

export async function removeOwnWordAction(word: string): Promise<FormOutcome> {
  return removeOwnWord(appContext(), z.string().min(1).max(60).parse(word));
}
