'use server';

import { z } from 'zod';
import { appContext } from '../../db/appContext';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { meterForm, settingsForm } from './schema';
import { askMeter, removeMeter, keepMeter, keepSettings } from './commands';

export async function keepSettingsAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(settingsForm, data);
  return form.ok ? keepSettings(appContext(), form.values) : form;
}

export async function askMeterAction(): Promise<FormOutcome> {
  return askMeter(appContext());
}

export async function keepMeterAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(meterForm, data);
  return form.ok ? keepMeter(appContext(), form.values) : form;
}

export async function removeMeterAction(name: string): Promise<FormOutcome> {
  return removeMeter(appContext(), z.string().min(1).max(60).parse(name));
}
