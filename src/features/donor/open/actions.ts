'use server';

import { type z } from 'zod';
import { appContext, contextFor } from '../../../db/appContext';
import {
  addOpeningStep,
  correctOpeningStep,
  removeOpeningStep,
  startClock,
  stopClock,
  noteReassembly,
} from './commands';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { openingStepForm, reassemblyForm } from './schema';
import { key, atStation } from '../shared/arguments';

export async function addOpeningStepAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(openingStepForm, data, (form) => addOpeningStep(appContext(), key.parse(code), form));
}

export async function correctOpeningStepAction(
  of: { code: string; stepId: string },
  data: FormData,
): Promise<FormOutcome> {
  const step = { code: key.parse(of.code), stepId: key.parse(of.stepId) };
  return submit(openingStepForm, data, (form) => correctOpeningStep(contextFor(data), step, form));
}

export async function removeOpeningStepAction(code: string, stepId: string): Promise<FormOutcome> {
  return removeOpeningStep(appContext(), { code: key.parse(code), stepId: key.parse(stepId) });
}

export async function startClockAction(of: z.input<typeof atStation>): Promise<FormOutcome> {
  return startClock(appContext(), atStation.parse(of));
}

export async function stopClockAction(of: z.input<typeof atStation>): Promise<FormOutcome> {
  return stopClock(appContext(), atStation.parse(of));
}

export async function noteReassemblyAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(reassemblyForm, data, (form) => noteReassembly(appContext(), key.parse(code), form));
}
