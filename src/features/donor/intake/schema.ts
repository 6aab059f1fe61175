import { z } from 'zod';
import { FACTORS, type Factor } from '../../../core/advice';
import { INLET_NAMES } from '../../../core/nameplate';
import { ORIGIN_NAMES, SYMPTOM_NAMES, UNIT_KIND_NAMES } from '../../../core/unit';
import { choice, freeText, optionalQuantity, requiredText } from '../../../ui/form/fieldSchemas';

export const donorForm = z.object({
  description: requiredText('What is it? A few words, like label-printer adapter.', 120),
  kind: choice(['', ...UNIT_KIND_NAMES]),
  maker: freeText(80),
  model: freeText(80),
  nameplate: freeText(1000),
  originKind: choice(['', ...ORIGIN_NAMES]),
  origin: freeText(200),
  clearance: choice(['', 'cleared', 'not-cleared']),
  /** Why a unit that was not cleared is cleared now. */
  clearanceReason: freeText(300),
  symptomKind: choice(['', ...SYMPTOM_NAMES]),
  symptom: freeText(300),
  dateCodes: freeText(300),
  length: optionalQuantity('metre'),
  width: optionalQuantity('metre'),
  height: optionalQuantity('metre'),
  mass: optionalQuantity('kilogram'),
  ambient: optionalQuantity('celsius'),
  fuse: optionalQuantity('ampere'),
  switch: optionalQuantity('ampere'),
  thyristor: optionalQuantity('ampere'),
  inlet: choice(['', ...INLET_NAMES]),
  /** Cross-section of the cable in square millimetres. */
  cable: choice(['', '0.5', '0.75', '1', '1.5', '2.5', '4']),
});
export type DonorForm = z.output<typeof donorForm>;

/** A number of a plate that was put right by hand: empty, or a finite figure. */
const figure = z.number().finite();

/** A plate put right field by field, as the editor sends it. */
export const plateForm = z.object({
  inputs: z
    .array(
      z
        .object({
          kind: z.enum(['ac', 'dc']),
          vMin: figure.positive('An input voltage above zero is expected.'),
          vMax: figure.positive('An input voltage above zero is expected.'),
          current: figure.positive().optional(),
          power: figure.positive().optional(),
          frequencies: z.array(figure.positive()).max(4).optional(),
        })
        .refine(({ vMin, vMax }) => vMin <= vMax, {
          path: ['vMax'],
          message: 'The upper end of an input range is at least its lower end.',
        }),
    )
    .max(6),
  outputs: z
    .array(
      z.object({
        v: figure,
        vMax: figure.optional(),
        i: figure.positive().optional(),
        p: figure.positive().optional(),
        alternative: z.literal(true).optional(),
        standby: z.literal(true).optional(),
        ac: z.literal(true).optional(),
        port: z.string().max(20).optional(),
      }),
    )
    .max(24),
  totalPower: figure.positive().optional(),
  sharedLimits: z
    .array(z.object({ volts: z.array(figure).max(12), power: figure.positive() }))
    .max(6)
    .optional(),
  efficiencyLevel: z.enum(['IV', 'V', 'VI']).optional(),
  safetyClass: z.enum(['I', 'II', 'III']).optional(),
  limitedPower: z.literal(true).optional(),
  dateCodes: z.array(z.string().max(8)).max(8).optional(),
  unread: z.string().max(1000).optional(),
});

export const soakForm = z
  .object({
    watts: optionalQuantity('watt'),
    celsius: optionalQuantity('celsius'),
    volts: optionalQuantity('volt'),
    load: optionalQuantity('ampere'),
    elapsed: optionalQuantity('second'),
    remark: freeText(200),
  })
  .refine(({ watts, celsius, volts, load, remark }) => watts || celsius || volts || load || remark !== '', {
    path: ['celsius'],
    message: 'A row needs a reading or a remark, like 51C.',
  });
export type SoakForm = z.output<typeof soakForm>;

const weight = z.number().min(0).max(5);
export const weightsForm = z.object(
  Object.fromEntries(FACTORS.map((factor) => [factor, weight])) as Record<Factor, typeof weight>,
);
