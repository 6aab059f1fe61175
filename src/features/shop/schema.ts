import { z } from 'zod';
import { ownWordProblem } from '../../core/benchline';
import type { AccuracyName, MeterAccuracies } from '../../core/measure';
import { METER_QUANTITY_NAMES } from '../../core/meter';
import { parseQuantity, problemText } from '../../core/quantity';
import {
  ACCURACY_UNIT,
  checkMeter,
  DEFAULT_ACCURACY,
  LEAST_APART,
  parseAccuracy,
  USUAL_TOLERANCE,
  type KnownPart,
} from '../../core/uncertainty';
import { freeText, requiredText } from '../../ui/form/fieldSchemas';

export const settingsForm = z.object({
  touchLimit: z.enum(['60', '50']).transform(Number),
  mains: z.enum(['230', '120', '100']).transform(Number),
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

export const QUANTITY_LABEL: Readonly<Record<AccuracyName, string>> = {
  dcVolt: 'volts DC',
  ohm: 'ohms',
  capacitance: 'capacitance',
  current: 'amperes DC',
  diode: 'diode mode',
  esr: 'ESR',
  inductance: 'inductance',
  temperature: 'temperature',
  insulation: 'insulation at 500 V',
};

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

/** Two known parts and what a meter shows of each; the value with its tolerance, like 1R 1%. */
export const meterCheckForm = z
  .object({
    name: requiredText('What is the meter called? Like my ESR tester.', 60),
    quantity: z.enum(ACCURACY_NAMES as [AccuracyName, ...AccuracyName[]]),
    known: z.array(freeText(40)).length(2),
    reads: z.array(freeText(40)).length(2),
  })
  .transform(({ name, quantity, known, reads }, context) => {
    const unit = ACCURACY_UNIT[quantity];
    const read = (text: string | undefined, path: (string | number)[]) => {
      const parsed = parseQuantity(text ?? '', unit);
      if (parsed.ok) return parsed.quantity;
      context.addIssue({ code: 'custom', path, message: problemText(parsed.problem) });
      return undefined;
    };
    const parts = [0, 1].flatMap((place): KnownPart[] => {
      const value = read(known[place], ['known', place]);
      const reading = read(reads[place], ['reads', place]);
      if (!value || !reading) return [];
      const { tolerance = USUAL_TOLERANCE } = value;
      return [{ value: value.value, tolerance, reading: reading.value, resolution: reading.resolution }];
    });
    const [first, second] = parts;
    if (!first || !second) return z.NEVER;
    const accuracy = checkMeter(first, second);
    if (accuracy) return { name, quantity, accuracy };
    context.addIssue({
      code: 'custom',
      path: ['known', 1],
      message: `Two values at least ${LEAST_APART} times apart are expected, one small and one large.`,
    });
    return z.NEVER;
  });
export type MeterCheckForm = z.output<typeof meterCheckForm>;

export const ownWordForm = z
  .object({ word: freeText(30).transform((word) => word.toLowerCase()), means: freeText(60) })
  .superRefine((own, context) => {
    const problem = ownWordProblem(own);
    if (problem) context.addIssue({ code: 'custom', path: [problem.field], message: problem.message });
  });
export type OwnWordForm = z.output<typeof ownWordForm>;
