'use server';

import type { z } from 'zod';
import { appContext } from '../../../db/appContext';
import { addLot, fitLot, stickLabels, takePieces } from './commands';
import { joinLots, moveToBin, splitLot } from './moves';
import { fittingsForm, joinForm, lotCodes, lotForm, moveForm, splitForm, stockCommand, takeForm } from './schema';
import { submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../arguments';

export async function addLotAction(data: FormData): Promise<FormOutcome> {
  return submit(lotForm, data, (form) => addLot(appContext(), form));
}

export async function fitLotAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(fittingsForm, data, (form) => fitLot(appContext(), key.parse(code), form));
}

/** Notes that labels are stuck on. */
export async function stickLabelsAction(codes: readonly string[]): Promise<FormOutcome> {
  return stickLabels(appContext(), lotCodes.parse(codes));
}

export async function takePiecesAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(takeForm, data, (form) => takePieces(appContext(), { code: key.parse(code), ...form }));
}

export async function moveToBinAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(moveForm, data, (form) => moveToBin(appContext(), { code: key.parse(code), ...form }));
}

export async function splitLotAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(splitForm, data, (form) => splitLot(appContext(), { code: key.parse(code), ...form }));
}

export async function joinLotsAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(joinForm, data, (form) => joinLots(appContext(), { code: key.parse(code), ...form }));
}

/** Does what a line told the drawers to do. */
export async function stockCommandAction(typed: z.input<typeof stockCommand>): Promise<FormOutcome> {
  const command = stockCommand.parse(typed);
  switch (command.kind) {
    case 'move':
      return moveToBin(appContext(), command);
    case 'take':
      return takePieces(appContext(), command);
    case 'split':
      return splitLot(appContext(), command);
  }
}
