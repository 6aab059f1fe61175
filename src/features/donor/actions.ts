'use server';

import { z } from 'zod';
import type { Nameplate } from '../../core/nameplate';
import { STATIONS } from '../../core/station';
import { bench } from '../../db/context';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { assemblyForm, harvestForm, harvestStepForm, mountingForm, runForm } from './harvest/schema';
import { pairForm, photoForm, spotsForm, pinForm } from './photos/schema';
import {
  donorForm,
  markingQuestion,
  measurementForm,
  noteForm,
  openingStepForm,
  partForm,
  pinHintsForm,
  placeForm,
  plateForm,
  readingForm,
  reassemblyForm,
  soakForm,
  standingForm,
  storeForm,
  valueForm,
  weightsForm,
} from './schema';
import { takePart } from './harvest/takePart';
import { endRun, mountPart, startRun, stepRun, takeAssembly } from './harvest/commands';
import {
  acceptClearReadings,
  acceptReading,
  hintPins,
  logPartForm,
  placePart,
  strikePart,
  typeRating,
} from './identify/commands';
import { amendDonor, amendPlate, bringBackDonor, keepWeights, discardDonor, registerDonor } from './intake/commands';
import { addNote, finishStation, goOn, moveMatter } from './shared/commands';
import { recordLine } from './shared/recordLine';
import { addOpeningStep, noteReassembly, startClock, stopClock, strikeOpeningStep } from './open/commands';
import { liftPins, placePins } from './photos/boardPhotos';
import { addPin, amendPhoto, pairSides, strikePhoto, strikePin } from './photos/commands';
import { addStore, listPartAsStore, notePower, readStore, strikeStore } from './safe/commands';
import { addSoak, strikeSoak } from './intake/soakCommands';
import { measurePart } from './test/commands';
import { strikeFact } from './trace/commands';
import { undoLatest, undoStep } from '../../services/command/undo';
import { markingPreview, typeNames, type MarkingPreview } from './identify/markingPreview.server';

// Arguments arrive from the browser: each is held against its schema before it is used.
const word = z.string().min(1).max(64);
const at = z.object({ code: word, station: z.enum(STATIONS) });
const part = z.object({ code: word, ref: word });

/** Holds a form against its schema and hands its values on, or answers with the problems. */
async function withForm<T extends z.ZodType>(
  schema: T,
  data: FormData,
  work: (values: z.output<T>) => Promise<FormOutcome>,
): Promise<FormOutcome> {
  const form = readForm(schema, data);
  return form.ok ? work(form.values) : form;
}

export async function registerDonorAction(data: FormData): Promise<FormOutcome> {
  return withForm(donorForm, data, (form) => registerDonor(bench(), form));
}

export async function amendDonorAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(donorForm, data, (form) => amendDonor(bench(), word.parse(code), form));
}

export async function discardDonorAction(code: string): Promise<FormOutcome> {
  return discardDonor(bench(), word.parse(code));
}

export async function bringBackDonorAction(code: string): Promise<FormOutcome> {
  return bringBackDonor(bench(), word.parse(code));
}

export async function recordLineAction(of: z.input<typeof at>, line: string): Promise<FormOutcome> {
  return recordLine(bench(), { ...at.parse(of), line: z.string().max(2000).parse(line) });
}

/** Drops one thing the meter was said to have told of a board. */
export async function strikeFactAction(code: string, factId: string): Promise<FormOutcome> {
  return strikeFact(bench(), { code: word.parse(code), factId: word.parse(factId) });
}

export async function logPartAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(partForm, data, (form) => logPartForm(bench(), word.parse(code), form));
}

export async function acceptReadingAction(of: z.input<typeof part>, data: FormData): Promise<FormOutcome> {
  return withForm(z.object({ reading: z.string().max(300) }), data, ({ reading }) =>
    acceptReading(bench(), { ...part.parse(of), reading }),
  );
}

export async function acceptClearReadingsAction(code: string): Promise<FormOutcome> {
  return acceptClearReadings(bench(), word.parse(code));
}

export async function placePartAction(
  of: z.input<typeof part>,
  place: z.input<typeof placeForm>,
): Promise<FormOutcome> {
  return placePart(bench(), part.parse(of), placeForm.parse(place));
}

/** What the pins of an unknown chip seem to be. */
export async function hintPinsAction(of: z.input<typeof part>, hints: Record<string, string>): Promise<FormOutcome> {
  return hintPins(bench(), part.parse(of), pinHintsForm.parse(hints));
}

/** What a marking may mean, while it is being typed. */
export async function readMarkingAction(
  code: string,
  question: z.input<typeof markingQuestion>,
): Promise<MarkingPreview | null> {
  return markingPreview(word.parse(code), markingQuestion.parse(question));
}

/** Numbers that the shop knows, for completing the bench line. */
export async function typeNamesAction(): Promise<readonly string[]> {
  return typeNames();
}

export async function typeRatingAction(of: z.input<typeof part>, data: FormData): Promise<FormOutcome> {
  return withForm(valueForm, data, (form) => typeRating(bench(), part.parse(of), form));
}

export async function strikePartAction(of: z.input<typeof part>): Promise<FormOutcome> {
  return strikePart(bench(), part.parse(of));
}

export async function addStoreAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(storeForm, data, (form) => addStore(bench(), word.parse(code), form));
}

export async function readStoreAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(readingForm, data, (form) => readStore(bench(), word.parse(code), form));
}

export async function strikeStoreAction(code: string, name: string): Promise<FormOutcome> {
  return strikeStore(bench(), { code: word.parse(code), name: word.parse(name) });
}

export async function listPartAsStoreAction(of: z.input<typeof part>): Promise<FormOutcome> {
  return listPartAsStore(bench(), part.parse(of));
}

export async function notePowerAction(code: string, applied: boolean): Promise<FormOutcome> {
  return notePower(bench(), { code: word.parse(code), applied: z.boolean().parse(applied) });
}

/** The plate as the editor holds it, or null to read the text again. */
export async function amendPlateAction(code: string, plate: unknown): Promise<FormOutcome> {
  if (plate === null) return amendPlate(bench(), word.parse(code), null);
  const parsed = plateForm.safeParse(plate);
  if (parsed.success) return amendPlate(bench(), word.parse(code), parsed.data as Nameplate);
  return { ok: false, problems: parsed.error.issues.map(({ message }) => ({ message })) };
}

/** Weights of the advice for the whole shop; null goes back to those that ship. */
export async function keepWeightsAction(weights: z.input<typeof weightsForm> | null): Promise<FormOutcome> {
  return keepWeights(bench(), weights === null ? null : weightsForm.parse(weights));
}

export async function addSoakAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(soakForm, data, (form) => addSoak(bench(), word.parse(code), form));
}

export async function strikeSoakAction(code: string, rowId: string): Promise<FormOutcome> {
  return strikeSoak(bench(), { code: word.parse(code), rowId: word.parse(rowId) });
}

export async function addOpeningStepAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(openingStepForm, data, (form) => addOpeningStep(bench(), word.parse(code), form));
}

export async function strikeOpeningStepAction(code: string, stepId: string): Promise<FormOutcome> {
  return strikeOpeningStep(bench(), { code: word.parse(code), stepId: word.parse(stepId) });
}

export async function startClockAction(of: z.input<typeof at>): Promise<FormOutcome> {
  return startClock(bench(), at.parse(of));
}

export async function stopClockAction(of: z.input<typeof at>): Promise<FormOutcome> {
  return stopClock(bench(), at.parse(of));
}

export async function noteReassemblyAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(reassemblyForm, data, (form) => noteReassembly(bench(), word.parse(code), form));
}

export async function amendPhotoAction(code: string, photoId: string, data: FormData): Promise<FormOutcome> {
  return withForm(photoForm, data, (form) =>
    amendPhoto(bench(), { code: word.parse(code), photoId: word.parse(photoId) }, form),
  );
}

export async function strikePhotoAction(code: string, photoId: string): Promise<FormOutcome> {
  return strikePhoto(bench(), { code: word.parse(code), photoId: word.parse(photoId) });
}

export async function addPinAction(code: string, pin: z.input<typeof pinForm>): Promise<FormOutcome> {
  return addPin(bench(), word.parse(code), pinForm.parse(pin));
}

export async function strikePinAction(code: string, pinId: string): Promise<FormOutcome> {
  return strikePin(bench(), { code: word.parse(code), pinId: word.parse(pinId) });
}

export async function pairSidesAction(code: string, pair: z.input<typeof pairForm>): Promise<FormOutcome> {
  return pairSides(bench(), word.parse(code), pairForm.parse(pair));
}

export async function placePinsAction(code: string, of: z.input<typeof spotsForm>): Promise<FormOutcome> {
  return placePins(bench(), word.parse(code), spotsForm.parse(of));
}

export async function liftPinsAction(code: string, of: { photoId: string; ref: string }): Promise<FormOutcome> {
  return liftPins(bench(), word.parse(code), { photoId: word.parse(of.photoId), ref: word.parse(of.ref) });
}

export async function measurePartAction(of: z.input<typeof part>, data: FormData): Promise<FormOutcome> {
  return withForm(measurementForm, data, (form) => measurePart(bench(), part.parse(of), form));
}

export async function takePartAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(harvestForm, data, (form) => takePart(bench(), { code: word.parse(code), ...form }));
}

export async function startRunAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(runForm, data, (form) => startRun(bench(), word.parse(code), form));
}

export async function endRunAction(code: string): Promise<FormOutcome> {
  return endRun(bench(), word.parse(code));
}

export async function stepRunAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(harvestStepForm, data, (form) => stepRun(bench(), word.parse(code), form));
}

export async function mountPartAction(
  of: z.input<typeof part>,
  form: z.input<typeof mountingForm>,
): Promise<FormOutcome> {
  const parsed = mountingForm.safeParse(form);
  if (!parsed.success)
    return {
      ok: false,
      problems: parsed.error.issues.map(({ path, message }) => ({ field: path.map(String).join('.'), message })),
    };
  return mountPart(bench(), part.parse(of), parsed.data);
}

export async function takeAssemblyAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(assemblyForm, data, (form) => takeAssembly(bench(), word.parse(code), form));
}

export async function addNoteAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(noteForm, data, (form) => addNote(bench(), word.parse(code), form));
}

export async function moveMatterAction(code: string, noteId: string, data: FormData): Promise<FormOutcome> {
  return withForm(standingForm, data, (form) =>
    moveMatter(bench(), { code: word.parse(code), noteId: word.parse(noteId) }, form),
  );
}

export async function finishStationAction(of: z.input<typeof at>): Promise<FormOutcome> {
  return finishStation(bench(), at.parse(of));
}

export async function goOnAction(of: z.input<typeof at>): Promise<FormOutcome> {
  return goOn(bench(), at.parse(of));
}

export async function undoAction(id: string): Promise<FormOutcome> {
  return undoStep(bench(), word.parse(id));
}

export async function undoLatestAction(code: string): Promise<FormOutcome> {
  return undoLatest(bench(), word.parse(code));
}
