'use server';

import { z } from 'zod';
import { appContext } from '../../../db/appContext';
import { recordLine } from './recordLine';
import { addNote, finishStation, goOn, moveIssue, notePower, unplugThePowered } from './commands';
import { redoStep, undoStep, undoLatest } from '../../../services/command';
import { listTypeNames } from '../../../db/repositories/types';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { noteForm, statusForm } from './schema';
import { key, atStation } from './arguments';

export async function recordLineAction(of: z.input<typeof atStation>, line: string): Promise<FormOutcome> {
  return recordLine(appContext(), { ...atStation.parse(of), line: z.string().max(2000).parse(line) });
}

/** Numbers that the shop knows, for completing the bench line. */
export async function typeNamesAction(): Promise<readonly string[]> {
  return listTypeNames(appContext().db.read);
}

export async function addNoteAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(noteForm, data, (form) => addNote(appContext(), key.parse(code), form));
}

export async function moveIssueAction(code: string, noteId: string, data: FormData): Promise<FormOutcome> {
  return submit(statusForm, data, (form) =>
    moveIssue(appContext(), { code: key.parse(code), noteId: key.parse(noteId) }, form),
  );
}

export async function finishStationAction(of: z.input<typeof atStation>): Promise<FormOutcome> {
  return finishStation(appContext(), atStation.parse(of));
}

export async function goOnAction(of: z.input<typeof atStation>): Promise<FormOutcome> {
  return goOn(appContext(), atStation.parse(of));
}

export async function undoAction(id: string): Promise<FormOutcome> {
  return undoStep(appContext(), key.parse(id));
}

export async function redoAction(id: string): Promise<FormOutcome> {
  return redoStep(appContext(), key.parse(id));
}

export async function undoLatestAction(code: string): Promise<FormOutcome> {
  return undoLatest(appContext(), key.parse(code));
}

export async function notePowerAction(code: string, applied: boolean): Promise<FormOutcome> {
  return notePower(appContext(), { code: key.parse(code), applied: z.boolean().parse(applied) });
}

export async function unplugAction(): Promise<FormOutcome> {
  return unplugThePowered(appContext());
}
