import { z } from 'zod';
import { BIN_CODE } from '../../../core/ident';
import { MOUNTING_NAMES } from '../../../core/harvest';
import { choice, freeText, pieces, requiredText, ticked } from '../../../ui/form/fieldSchemas';

const bin = z.string().trim().toUpperCase().regex(BIN_CODE.pattern, BIN_CODE.expected);

export const harvestForm = z.object({ ref: z.string(), bin });

/** References in a row, such as `C3, L5`; blank is none. */
const references = freeText(200).transform((text, context) => {
  const refs = text
    .toUpperCase()
    .split(/[\s,;]+/)
    .filter((word) => word !== '');
  const wrong = refs.find((ref) => !/^[A-Z]{1,4}\d{1,4}[A-Z]?$/.test(ref));
  if (wrong === undefined) return refs;
  context.addIssue({ code: 'custom', message: `“${wrong}” is no reference. Write them like C3, L5.` });
  return z.NEVER;
});

/** Longest run: a day at the bench. */
const MOST_MINUTES = 600;
export const runForm = z.object({
  minutes: z
    .string()
    .trim()
    .refine(
      (text) => /^\d{1,3}$/.test(text) && Number(text) >= 1 && Number(text) <= MOST_MINUTES,
      `Minutes are expected, a whole number from 1 to ${MOST_MINUTES}.`,
    )
    .transform(Number),
  bin,
});
export type RunForm = z.output<typeof runForm>;

export const harvestStepForm = z.object({
  job: z.string().min(1).max(2000),
  outcome: z.enum(['done', 'broke', 'skipped']),
  bin,
});
export type HarvestStepForm = z.output<typeof harvestStepForm>;

export const mountingForm = z.object({
  ways: ticked(MOUNTING_NAMES),
  sink: z
    .string()
    .trim()
    .toUpperCase()
    .max(12, 'A short name is expected, like HS1.')
    .regex(/^[A-Z0-9-]*$/, 'Letters and digits are expected, like HS1.')
    .default(''),
  behind: references,
  wish: choice(['', 'take', 'leave']),
});
export type MountingForm = z.output<typeof mountingForm>;

export const assemblyForm = z.object({
  name: requiredText('What is it? A few words, like input filter board.', 60),
  kind: z.enum(['assembly', 'fan', 'heat-sink', 'connector', 'wire']),
  holds: references,
  pieces: pieces(),
  bin,
});
export type AssemblyForm = z.output<typeof assemblyForm>;
