'use server';

import { z } from 'zod';
import { CHECK_TESTS, namedAs, ROLES, SYMPTOMS, type RoleName, type Symptom } from '../../../core/diagnose';
import { appContext } from '../../../db/appContext';
import { freeText, requiredText, submit } from '../../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../../ui/form/outcome';
import { key } from '../shared/arguments';
import { fitReplacement } from './fit';
import { answerCheck, dropRepairFact, nameComplaint, tellSeen } from './commands';

const symptoms = Object.keys(SYMPTOMS) as [Symptom, ...Symptom[]];
const complaint = z.object({ symptom: z.enum(symptoms) });
const seen = z.object({ ref: freeText(10), text: requiredText('Write what you saw, heard or know of it.', 500) });
const at = z.object({ ref: z.string().min(1).max(12), test: z.enum(CHECK_TESTS) });
const roles = z.enum(Object.keys(ROLES) as [RoleName, ...RoleName[]]);
const numbered = z.object({
  ref: z
    .string()
    .transform((text) => text.trim().toUpperCase())
    .pipe(z.string().regex(/^[A-Z]{1,4}\d{1,4}$/u, 'Write its number on the board: letters and digits, like Q7.')),
});
const reading = z.object({ text: requiredText('Write the reading, like 0.002 V both ways, or OL.', 200) });
const keyed = at.extend({ outcome: z.enum(['good', 'bad', 'unclear']), text: z.string().max(200) });

const fitted = z.object({ ref: z.string().min(1).max(12), lot: z.string().min(1).max(20) });

export async function nameComplaintAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(complaint, data, (form) => nameComplaint(appContext(), key.parse(code), form));
}

export async function tellSeenAction(code: string, data: FormData): Promise<FormOutcome> {
  return submit(seen, data, (form) => tellSeen(appContext(), key.parse(code), form));
}

export async function namePartAction(code: string, role: RoleName, data: FormData): Promise<FormOutcome> {
  return submit(numbered, data, ({ ref }) =>
    tellSeen(appContext(), key.parse(code), { ref: '', text: namedAs(ref, roles.parse(role)) }),
  );
}

export async function readCheckAction(code: string, of: z.input<typeof at>, data: FormData): Promise<FormOutcome> {
  return submit(reading, data, ({ text }) =>
    answerCheck(appContext(), key.parse(code), { ...at.parse(of), text, outcome: '' }),
  );
}

export async function answerCheckAction(code: string, of: z.input<typeof keyed>): Promise<FormOutcome> {
  return answerCheck(appContext(), key.parse(code), keyed.parse(of));
}

export async function dropRepairFactAction(code: string, id: string): Promise<FormOutcome> {
  return dropRepairFact(appContext(), { code: key.parse(code), id: key.parse(id) });
}

export async function fitReplacementAction(code: string, of: z.input<typeof fitted>): Promise<FormOutcome> {
  return fitReplacement(appContext(), key.parse(code), fitted.parse(of));
}
