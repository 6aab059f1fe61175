'use server';

import { type z } from 'zod';
import { appContext, contextFor } from '../../../db/appContext';
import { amendPhoto, removePhoto, addPin, removePin, pairSides } from './commands';
import { placePins, liftPins } from './boardPhotos';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { pairForm, photoForm, pinForm, spotsForm } from './schema';
import { key } from '../shared/arguments';

export async function amendPhotoAction(code: string, photoId: string, data: FormData): Promise<FormOutcome> {
  return submit(photoForm, data, (form) =>
    amendPhoto(contextFor(data), { code: key.parse(code), photoId: key.parse(photoId) }, form),
  );
}

export async function removePhotoAction(code: string, photoId: string): Promise<FormOutcome> {
  return removePhoto(appContext(), { code: key.parse(code), photoId: key.parse(photoId) });
}

export async function addPinAction(code: string, pin: z.input<typeof pinForm>): Promise<FormOutcome> {
  return addPin(appContext(), key.parse(code), pinForm.parse(pin));
}

export async function removePinAction(code: string, pinId: string): Promise<FormOutcome> {
  return removePin(appContext(), { code: key.parse(code), pinId: key.parse(pinId) });
}

export async function pairSidesAction(code: string, pair: z.input<typeof pairForm>): Promise<FormOutcome> {
  return pairSides(appContext(), key.parse(code), pairForm.parse(pair));
}

export async function placePinsAction(code: string, of: z.input<typeof spotsForm>): Promise<FormOutcome> {
  return placePins(appContext(), key.parse(code), spotsForm.parse(of));
}

export async function liftPinsAction(code: string, of: { photoId: string; ref: string }): Promise<FormOutcome> {
  return liftPins(appContext(), key.parse(code), { photoId: key.parse(of.photoId), ref: key.parse(of.ref) });
}
