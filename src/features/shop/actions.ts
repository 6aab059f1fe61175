'use server';

import { z } from 'zod';
import { bench } from '../../db/context';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { meterForm, settingsForm } from './schema';
import { askMeter, dropMeter, keepMeter, keepSettings } from './commands';

export async function keepSettingsAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(settingsForm, data);
  return form.ok ? keepSettings(bench(), form.values) : form;
}

export async function askMeterAction(): Promise<FormOutcome> {
  return askMeter(bench());
}

export async function keepMeterAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(meterForm, data);
  return form.ok ? keepMeter(bench(), form.values) : form;
}

export async function dropMeterAction(name: string): Promise<FormOutcome> {
  return dropMeter(bench(), z.string().min(1).max(60).parse(name));
}
