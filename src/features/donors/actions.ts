'use server';

import { z } from 'zod';
import { appContext } from '../../db/appContext';
import { requiredText, submit } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { answerQuestion } from './questionCommands';

const key = z.string().min(1).max(64);
const answerForm = z.object({
  answer: requiredText('There is no answer yet. Write what was learnt, and from whom.', 500),
  keep: z.literal('on').optional(),
});

export async function answerQuestionAction(code: string, noteId: string, data: FormData): Promise<FormOutcome> {
  return submit(answerForm, data, (form) =>
    answerQuestion(appContext(), { code: key.parse(code), noteId: key.parse(noteId) }, form),
  );
}
