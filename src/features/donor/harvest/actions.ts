'use server';

import { type z } from 'zod';
import { appContext, contextFor } from '../../../db/appContext';
import { takePart } from './takePart';
import { startRun, endRun, stepRun, mountPart, takeAssembly } from './commands';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { assemblyForm, harvestForm, harvestStepForm, mountingForm, runForm } from './schema';
import { key, ofPart } from '../shared/arguments';

export async function takePartAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(harvestForm, data, (form) => takePart(appContext(), { code: key.parse(code), ...form }));
}

export async function startRunAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(runForm, data, (form) => startRun(appContext(), key.parse(code), form));
}

export async function endRunAction(code: string): Promise<FormOutcome> {
  return endRun(appContext(), key.parse(code));
}

export async function stepRunAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(harvestStepForm, data, (form) => stepRun(appContext(), key.parse(code), form));
}

export async function mountPartAction(of: z.input<typeof ofPart>, data: FormData): Promise<FormOutcome> {
  return submit(mountingForm, data, (form) => mountPart(contextFor(data), ofPart.parse(of), form));
}

export async function takeAssemblyAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(assemblyForm, data, (form) => takeAssembly(appContext(), key.parse(code), form));
}
