import { z } from 'zod';
import { BIN_CODE } from '../../core/ident';
import { KIND_NAMES } from '../../core/part';
import { STATIONS } from '../../core/station';
import { freeText, optionalQuantity, requiredQuantity, requiredText, tick } from '../../ui/form/fieldSchemas';

export const donorForm = z.object({
  description: requiredText('What is it? A few words, like label-printer adapter.', 120),
  maker: freeText(80),
  model: freeText(80),
  nameplate: freeText(1000),
  origin: freeText(200),
  symptom: freeText(300),
  length: optionalQuantity('metre'),
  width: optionalQuantity('metre'),
  height: optionalQuantity('metre'),
  mass: optionalQuantity('kilogram'),
});
export type DonorForm = z.output<typeof donorForm>;

const storeName = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[A-Z][A-Z0-9]{0,7}$/, 'A short name such as C3 or VBUS is expected: a letter, then letters or digits.');

export const storeForm = z.object({
  name: storeName,
  role: z.enum(['', 'bulk', 'filter', 'other']),
  capacitance: requiredQuantity('farad').refine(
    (quantity) => quantity.value > 0,
    'A capacitance above zero is expected, like 82u.',
  ),
  ratedVoltage: optionalQuantity('volt'),
  bleed: optionalQuantity('ohm'),
});
export type StoreForm = z.output<typeof storeForm>;

export const readingForm = z.object({
  store: z.string(),
  voltage: requiredQuantity('volt'),
  elapsed: optionalQuantity('second'),
});
export type ReadingForm = z.output<typeof readingForm>;

export const partForm = z.object({
  ref: z
    .string()
    .trim()
    .regex(/^[a-z]{1,4}\d{1,4}[a-z]?$/i, 'A reference such as Q1 or CX2 is expected.'),
  kind: z.enum(['', ...KIND_NAMES]),
  package: freeText(20),
  values: freeText(200),
  marking: freeText(60),
});
export type PartForm = z.output<typeof partForm>;

export const valueForm = z.object({
  rating: z.string(),
  value: z.string(),
  source: z.enum(['datasheet', 'decoded', 'typical', 'guessed']),
});
export type ValueForm = z.output<typeof valueForm>;

export const measurementForm = z.object({ inCircuit: tick }).catchall(z.string());
export type MeasurementForm = z.output<typeof measurementForm>;

export const harvestForm = z.object({
  ref: z.string(),
  bin: z.string().trim().toUpperCase().regex(BIN_CODE.pattern, BIN_CODE.expected),
});

export const noteForm = z.object({
  station: z.enum(STATIONS),
  text: requiredText('There is nothing to note yet. Write what you saw.', 2000),
  question: tick,
});
