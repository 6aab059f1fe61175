import { z } from 'zod';
import { asNeedQuestion, questionProblemText, readQuestion } from '../../core/stock';
import { freeText, pieces, requiredText } from '../../ui/form/fieldSchemas';

export const buildForm = z.object({
  title: requiredText('What will it be? A few words, like pump supply, 12 V 6 A.', 120),
  note: freeText(1000),
});

export const needForm = z.object({
  role: requiredText('What is it for in the build? One or two words, like switch or output capacitor.', 60),
  filter: z
    .string()
    .trim()
    .transform((typed, context): string => {
      const text = asNeedQuestion(typed);
      const parsed = readQuestion(text);
      const problem = !parsed.ok
        ? questionProblemText(parsed.problem)
        : parsed.filter.kind === undefined
          ? `“${text}”: name the kind of part, like nmos 600V or capacitor 470u 35V.`
          : undefined;
      if (problem === undefined) return text;
      context.addIssue({ code: 'custom', message: problem });
      return z.NEVER;
    }),
  quantity: pieces(1000),
});

export const portionForm = z.object({ lot: z.string().min(1), quantity: pieces(1000) });
