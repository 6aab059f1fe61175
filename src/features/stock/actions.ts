'use server';

import { z } from 'zod';
import { bench } from '../../db/bench';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { lotForm, moveForm, takeForm } from './schema';
import { addLot, moveToBin, takePieces } from './usecases';

const word = z.string().min(1).max(64);

export async function addLotAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(lotForm, data);
  return form.ok ? addLot(bench(), form.values) : form;
}

export async function takePiecesAction(code: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(takeForm, data);
  return form.ok ? takePieces(bench(), { code: word.parse(code), ...form.values }) : form;
}

export async function moveToBinAction(code: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(moveForm, data);
  return form.ok ? moveToBin(bench(), { code: word.parse(code), ...form.values }) : form;
}
