'use server';

import { z } from 'zod';
import { bench } from '../../db/context';
import { latestStockSteps } from '../../db/repositories/stockSteps';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { countBin, dropFilter, joinLots, moveToBin, saveFilter, sizeBin, splitLot } from './lot/moves';
import { capacityForm, countForm, filterForm, joinForm, lotForm, moveForm, splitForm, takeForm } from './schema';
import { addLot, takePieces } from './lot/commands';

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

export async function splitLotAction(code: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(splitForm, data);
  return form.ok ? splitLot(bench(), { code: word.parse(code), ...form.values }) : form;
}

export async function joinLotsAction(code: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(joinForm, data);
  return form.ok ? joinLots(bench(), { code: word.parse(code), ...form.values }) : form;
}

export async function countBinAction(bin: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(countForm, data);
  return form.ok ? countBin(bench(), { bin: word.parse(bin), counts: form.values }) : form;
}

export async function sizeBinAction(bin: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(capacityForm, data);
  return form.ok ? sizeBin(bench(), { bin: word.parse(bin), ...form.values }) : form;
}

export async function saveFilterAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(filterForm, data);
  return form.ok ? saveFilter(bench(), form.values) : form;
}

export async function dropFilterAction(id: string): Promise<FormOutcome> {
  return dropFilter(bench(), word.parse(id));
}

/** The change of stock that `undo` means: the newest that still stands. */
export async function latestStepAction(): Promise<string | undefined> {
  const [newest] = await latestStockSteps(bench().db.read, { limit: 1, standing: true });
  return newest?.id;
}
