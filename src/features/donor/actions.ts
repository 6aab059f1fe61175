'use server';

import { z } from 'zod';
import { STATIONS } from '../../core/station';
import { bench } from '../../db/bench';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import {
  donorForm,
  harvestForm,
  measurementForm,
  noteForm,
  partForm,
  readingForm,
  storeForm,
  valueForm,
} from './schema';
import { takePart } from './usecases/harvest';
import { acceptReading, logPartForm, strikePart, typeRating } from './usecases/identify';
import { amendDonor, bringBackDonor, discardDonor, registerDonor } from './usecases/intake';
import { addNote, answerQuestion, finishStation, goOn } from './usecases/notes';
import { recordLine } from './usecases/recordLine';
import { addStore, readStore, strikeStore } from './usecases/safety';
import { measurePart } from './usecases/measure';
import { undoLatest, undoStep } from './usecases/undo';

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

export async function logPartAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(partForm, data, (form) => logPartForm(bench(), word.parse(code), form));
}

export async function acceptReadingAction(of: z.input<typeof part>, data: FormData): Promise<FormOutcome> {
  return withForm(z.object({ reading: z.string().regex(/^[\w-]+:[\w-]+$/) }), data, ({ reading }) => {
    const [kind = '', rule = ''] = reading.split(':');
    return acceptReading(bench(), { ...part.parse(of), kind, rule });
  });
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

export async function measurePartAction(of: z.input<typeof part>, data: FormData): Promise<FormOutcome> {
  return withForm(measurementForm, data, (form) => measurePart(bench(), part.parse(of), form));
}

export async function takePartAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(harvestForm, data, (form) => takePart(bench(), { code: word.parse(code), ...form }));
}

export async function addNoteAction(code: string, data: FormData): Promise<FormOutcome> {
  return withForm(noteForm, data, (form) => addNote(bench(), word.parse(code), form));
}

export async function answerQuestionAction(code: string, noteId: string): Promise<FormOutcome> {
  return answerQuestion(bench(), { code: word.parse(code), noteId: word.parse(noteId) });
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
