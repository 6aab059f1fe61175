import { z } from 'zod';
import { ownWordProblem } from '../../core/benchline';
import type { AccuracyName, MeterAccuracies } from '../../core/measure';
import { METER_QUANTITY_NAMES } from '../../core/meter';
import { DEFAULT_ACCURACY, parseAccuracy } from '../../core/uncertainty';
import { freeText, requiredText } from '../../ui/form/fieldSchemas';

export const settingsForm = z.object({
  touchLimit: z.enum(['60', '50']).transform(Number),
  meterAddress: z
    .string()
    .trim()
    .default('')
    .refine(
      (text) => text === '' || /^(?:\[[0-9a-f:]+\]|[a-z0-9.-]+):\d{1,5}$/i.test(text),
      'A host and a port are expected, like 127.0.0.1:5025, or nothing for no meter.',
    ),
});
export type SettingsForm = z.output<typeof settingsForm>;

/** What a page may ask the meter for. */
export const meterQuestion = z.object({
  wants: z.enum(METER_QUANTITY_NAMES as [string, ...string[]]),
  point: z
    .string()
    .max(200)
    // It goes into a quoted line to the meter: anything a model or a pin is called, but no quote and no line end.
    .regex(/^[^"\p{Cc}]*$/u)
    .default(''),
});

export const ACCURACY_NAMES = Object.keys(DEFAULT_ACCURACY) as AccuracyName[];

/** A meter with what its sheet says; a blank accuracy is the usual one. */
export const meterForm = z
  .object({ name: requiredText('What is the meter called?', 60) })
  .catchall(freeText(40))
  .transform(({ name, ...texts }, context): { name: string; accuracies: MeterAccuracies } => {
    const accuracies: Partial<Record<AccuracyName, NonNullable<MeterAccuracies[AccuracyName]>>> = {};
    for (const quantity of ACCURACY_NAMES) {
      const text = texts[quantity] ?? '';
      if (text === '') continue;
      const accuracy = parseAccuracy(text);
      if (accuracy) accuracies[quantity] = accuracy;
      else
        context.addIssue({
          code: 'custom',
          path: [quantity],
          message: `“${text}” is no accuracy. Write it like 0.5 % + 2, as the meter’s sheet does.`,
        });
    }
    return { name, accuracies };
  });
export type MeterForm = z.output<typeof meterForm>;

export const ownWordForm = z
  .object({ word: freeText(30).transform((word) => word.toLowerCase()), means: freeText(60) })
  .superRefine((own, context) => {
    const problem = ownWordProblem(own);
    if (problem) context.addIssue({ code: 'custom', path: [problem.field], message: problem.message });
  });
export type OwnWordForm = z.output<typeof ownWordForm>;
