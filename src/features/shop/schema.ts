import { z } from 'zod';
import { METER_QUANTITY_NAMES } from '../../core/meter';

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
