'use server';

import { z } from 'zod';
import { appContext, contextFor } from '../../../db/appContext';
import { registerDonor, amendDonor, archiveDonor, restoreDonor, amendPlate, keepWeights } from './commands';
import { addSoak, correctSoak, removeSoak } from './soakCommands';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { donorForm, plateForm, soakForm, weightsForm } from './schema';
import { key } from '../shared/arguments';
import { kinView, type KinView } from '../shared/kin.server';

export async function registerDonorAction(data: FormData): Promise<FormOutcome> {
  return submit(donorForm, data, (form) => registerDonor(appContext(), form));
}

export async function amendDonorAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(donorForm, data, (form) => amendDonor(contextFor(data), key.parse(code), form));
}

export async function archiveDonorAction(code: string): Promise<FormOutcome> {
  return archiveDonor(appContext(), key.parse(code));
}

export async function restoreDonorAction(code: string): Promise<FormOutcome> {
  return restoreDonor(appContext(), key.parse(code));
}

export async function amendPlateAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(plateForm, data, (form) => amendPlate(contextFor(data), key.parse(code), form));
}

/** Lets go of a plate that was put right by hand. */
export async function rereadPlateAction(code: string): Promise<FormOutcome> {
  return amendPlate(appContext(), key.parse(code), null);
}

/** Weights of the advice for the whole shop; null goes back to those that ship. */
export async function keepWeightsAction(weights: z.input<typeof weightsForm> | null): Promise<FormOutcome> {
  return keepWeights(appContext(), weights === null ? null : weightsForm.parse(weights));
}

export async function addSoakAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(soakForm, data, (form) => addSoak(appContext(), key.parse(code), form));
}

export async function correctSoakAction(of: { code: string; rowId: string }, data: FormData): Promise<FormOutcome> {
  const row = { code: key.parse(of.code), rowId: key.parse(of.rowId) };
  return submit(soakForm, data, (form) => correctSoak(contextFor(data), row, form));
}

export async function removeSoakAction(code: string, rowId: string): Promise<FormOutcome> {
  return removeSoak(appContext(), { code: key.parse(code), rowId: key.parse(rowId) });
}

const family = z.object({ maker: z.string().max(200), model: z.string().max(200), id: z.string().max(64).optional() });

/** Units of the family that a maker and a model name, with what they tell. */
export async function kinAction(of: z.input<typeof family>): Promise<readonly KinView[]> {
  const { id, ...names } = family.parse(of);
  return kinView(appContext().db.read, { ...names, ...(id === undefined ? {} : { id }) });
}
