'use server';

import { z } from 'zod';
import { appContext } from '../../db/appContext';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { buildForm, needForm, portionForm } from './schema';
import { designQuery } from './design.server';
import { keepDesign } from './keepDesign';
import { keepTogether } from './keepTogether';
import { addNeed, moveParts, startBuild, removeNeed } from './commands';

const word = z.string().min(1).max(64);
const step = z.object({ needId: word, step: z.enum(['reserve', 'release', 'use']) });

export async function startBuildAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(buildForm, data);
  return form.ok ? startBuild(appContext(), form.values) : form;
}

export async function addNeedAction(code: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(needForm, data);
  return form.ok ? addNeed(appContext(), word.parse(code), form.values) : form;
}

const together = z.object({ code: word, needId: word, key: z.string().min(1).max(200) });

export async function keepTogetherAction(of: z.input<typeof together>): Promise<FormOutcome> {
  return keepTogether(appContext(), together.parse(of));
}

export async function removeNeedAction(code: string, needId: string): Promise<FormOutcome> {
  return removeNeed(appContext(), { code: word.parse(code), needId: word.parse(needId) });
}

export async function movePartsAction(of: z.input<typeof step>, data: FormData): Promise<FormOutcome> {
  const form = readForm(portionForm, data);
  return form.ok
    ? moveParts(appContext(), { ...step.parse(of), lotCode: form.values.lot, quantity: form.values.quantity })
    : form;
}

export async function keepDesignAction(query: z.input<typeof designQuery>, id: string): Promise<FormOutcome> {
  return keepDesign(appContext(), designQuery.parse(query), word.parse(id));
}
