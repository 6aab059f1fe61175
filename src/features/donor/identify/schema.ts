import { z } from 'zod';
import { PIN_FUNCTIONS, type PinFunction } from '../../../core/chips';
import { BLOCK_NAMES, DAMAGE_WORDS, DUTY_NAMES, FITMENT_NAMES, KIND_NAMES } from '../../../core/part';
import { choice, freeText, tick, ticked } from '../../../ui/form/fieldSchemas';

export const partForm = z.object({
  ref: z
    .string()
    .trim()
    .regex(/^[a-z]{1,4}\d{1,4}[a-z]?$/i, 'A reference such as Q1 or CX2 is expected.'),
  kind: z.enum(['', ...KIND_NAMES]),
  package: freeText(20),
  values: freeText(200),
  marking: freeText(60),
  block: choice(['', ...BLOCK_NAMES]),
  condition: choice(['', ...DAMAGE_WORDS, ...FITMENT_NAMES]),
  /** How many alike, with references that follow one another. */
  count: z.coerce
    .number('A count such as 4 is expected.')
    .int('A whole count is expected.')
    .min(1, 'At least one part is expected.')
    .max(60, 'At most 60 parts are logged at once.')
    .default(1),
  /** Whether the part is like the one above it. */
  same: tick,
});
export type PartForm = z.output<typeof partForm>;

export const placeForm = z.object({
  block: choice(['', ...BLOCK_NAMES]),
  duty: choice(['', ...DUTY_NAMES]),
  subtype: freeText(20),
  damage: ticked(DAMAGE_WORDS),
  fitments: ticked(FITMENT_NAMES),
  sink: freeText(20).transform((text) => text.toUpperCase()),
});
export type PlaceForm = z.output<typeof placeForm>;

/** What pins of a chip seem to be, by number. */
export const pinHintsForm = z
  .object({
    pins: z
      .record(
        z.coerce.number().int().min(1).max(64),
        z.enum(['', ...(Object.keys(PIN_FUNCTIONS) as [PinFunction, ...PinFunction[]])]),
      )
      .default({}),
  })
  .transform(({ pins }): Record<number, PinFunction> =>
    Object.fromEntries(Object.entries(pins).filter((entry): entry is [string, PinFunction] => entry[1] !== '')),
  );

/** A marking to be read while it is typed. */
export const markingQuestion = z.object({
  marking: z.string().max(80),
  kind: choice(['', ...KIND_NAMES]),
  package: z.string().max(20),
  block: choice(['', ...BLOCK_NAMES]),
});

export const valueForm = z.object({
  rating: z.string(),
  value: z.string(),
  source: z.enum(['datasheet', 'decoded', 'typical', 'guessed']),
});
export type ValueForm = z.output<typeof valueForm>;
