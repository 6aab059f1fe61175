'use server';

import type { z } from 'zod';
import { appContext } from '../../../db/appContext';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../shared/arguments';
import { beginAgain, passStep, stopPowerUp } from './commands';
import { answered, failed } from './schema';

export async function passStepAction(code: string, of: z.input<typeof answered>): Promise<FormOutcome> {
  return passStep(appContext(), key.parse(code), answered.parse(of));
}

export async function stopPowerUpAction(code: string, of: z.input<typeof failed>): Promise<FormOutcome> {
  return stopPowerUp(appContext(), key.parse(code), failed.parse(of));
}

export async function beginAgainAction(code: string): Promise<FormOutcome> {
  return beginAgain(appContext(), key.parse(code));
}
