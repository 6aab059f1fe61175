'use server';

import { z } from 'zod';
import { appContext, contextFor } from '../../../db/appContext';
import {
  logPartForm,
  acceptDecoding,
  acceptClearDecodings,
  placePart,
  hintPins,
  typeRating,
  removePart,
} from './commands';
import { markingPreview, type MarkingPreview } from './markingPreview.server';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { markingQuestion, partForm, pinHintsForm, placeForm, valueForm } from './schema';
import { key, ofPart } from '../shared/arguments';

export async function logPartAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(partForm, data, (form) => logPartForm(contextFor(data), key.parse(code), form));
}

export async function acceptDecodingAction(of: z.input<typeof ofPart>, data: FormData): Promise<FormOutcome> {
  return submit(z.object({ decoding: z.string().max(300) }), data, ({ decoding }) =>
    acceptDecoding(appContext(), { ...ofPart.parse(of), decoding }),
  );
}

export async function acceptClearDecodingsAction(code: string): Promise<FormOutcome> {
  return acceptClearDecodings(appContext(), key.parse(code));
}

export async function placePartAction(of: z.input<typeof ofPart>, data: FormData): Promise<FormOutcome> {
  return submit(placeForm, data, (form) => placePart(contextFor(data), ofPart.parse(of), form));
}

/** What the pins of an unknown chip seem to be. */
export async function hintPinsAction(of: z.input<typeof ofPart>, data: FormData): Promise<FormOutcome> {
  return submit(pinHintsForm, data, (hints) => hintPins(appContext(), ofPart.parse(of), hints));
}

/** What a marking may mean, while it is being typed. */
export async function readMarkingAction(
  code: string,
  question: z.input<typeof markingQuestion>,
): Promise<MarkingPreview | null> {
  return markingPreview(appContext(), key.parse(code), markingQuestion.parse(question));
}

export async function typeRatingAction(of: z.input<typeof ofPart>, data: FormData): Promise<FormOutcome> {
  return submit(valueForm, data, (form) => typeRating(contextFor(data), ofPart.parse(of), form));
}

export async function removePartAction(of: z.input<typeof ofPart>): Promise<FormOutcome> {
  return removePart(appContext(), ofPart.parse(of));
}
