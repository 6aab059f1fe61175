import { z } from 'zod';
import { OUTCOME_NAMES, readDue, type OutcomeName } from '../../../core/donor';
import { freeText, requiredText } from '../../../ui/form/fieldSchemas';

export const closingForm = z.object({
  outcome: z.enum(OUTCOME_NAMES as readonly [OutcomeName, ...OutcomeName[]]),
  note: freeText(500),
  /** What stands against it was read, and it is closed all the same. */
  anyway: z.literal('on').optional(),
});
export type ClosingForm = z.output<typeof closingForm>;

export const tellForm = z.object({
  text: requiredText('There is nothing to tell yet. Write what the next one of its kind should be told.', 600),
});

/** A question; a span such as two weeks counts from a moment, milliseconds since 1970. */
export const askFormAt = (now: number) =>
  z.object({
    text: requiredText('There is no question yet.', 1000),
    ref: freeText(10),
    askedOf: freeText(80),
    due: freeText(40).transform((text, context): number | null => {
      if (text === '') return null;
      const due = readDue(text, now);
      if (due !== undefined) return due;
      context.addIssue({
        code: 'custom',
        message: `“${text}” names no day. Write a day such as 2027-01-15, or a span such as 2 weeks.`,
      });
      return z.NEVER;
    }),
  });
export type AskForm = z.output<ReturnType<typeof askFormAt>>;
