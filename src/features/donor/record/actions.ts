'use server';

import { appContext } from '../../../db/appContext';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../shared/arguments';
import { askQuestion, closeDonor, reopenDonor, tellNext } from './commands';
import { askFormAt, closingForm, tellForm } from './schema';

export async function closeDonorAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(closingForm, data, (form) => closeDonor(appContext(), key.parse(code), form));
}

export async function reopenDonorAction(code: string): Promise<FormOutcome> {
  return reopenDonor(appContext(), key.parse(code));
}

export async function tellNextAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(tellForm, data, (form) => tellNext(appContext(), key.parse(code), form));
}

export async function askQuestionAction(code: string, data: FormData): Promise<FormOutcome> {
  const app = appContext();
  return submit(askFormAt(app.now()), data, (form) => askQuestion(app, key.parse(code), form));
}
