'use server';

import { bench } from '../../db/bench';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { settingsForm } from './schema';
import { askMeter, keepSettings } from './usecases';

export async function keepSettingsAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(settingsForm, data);
  return form.ok ? keepSettings(bench(), form.values) : form;
}

export async function askMeterAction(): Promise<FormOutcome> {
  return askMeter(bench());
}
