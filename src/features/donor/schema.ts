import { z } from 'zod';
import { FACTORS, type Factor } from '../../core/advice';
import { STANDINGS } from '../../core/benchline';
import { PIN_FUNCTIONS, type PinFunction } from '../../core/chips';
import { BLOCK_NAMES, DAMAGE_WORDS, DUTY_NAMES, FITMENT_NAMES, KIND_NAMES } from '../../core/part';
import { DAMAGE_NAMES, METHODS, SEAM_NAMES } from '../../core/opening';
import { INLET_NAMES } from '../../core/nameplate';
import { bankProblemText, HOLD_SOURCE_NAMES, parseBank, STORE_ROLE_NAMES } from '../../core/safety';
import { STATIONS } from '../../core/station';
import { ORIGIN_NAMES, SYMPTOM_NAMES, UNIT_KIND_NAMES } from '../../core/unit';
import {
  choice,
  freeText,
  optionalPieces,
  optionalQuantity,
  requiredQuantity,
  requiredText,
  tick,
} from '../../ui/form/fieldSchemas';

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

const storeName = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[A-Z][A-Z0-9]{0,7}$/, 'A short name such as C3 or VBUS is expected: a letter, then letters or digits.');

/** The capacitors of a store; a battery has none. */
const bankText = z
  .string()
  .trim()
  .default('')
  .transform((text, context) => {
    if (text === '') return { text, capacitance: 0, links: 1, ratedVoltage: undefined };
    const read = parseBank(text);
    if (read.ok) {
      const { capacitance, links, ratedVoltage } = read.bank;
      const several = links.length > 1 || links.some(({ count }) => count > 1);
      return { text: several ? text : '', capacitance, links: links.length, ratedVoltage };
    }
    context.addIssue({ code: 'custom', message: bankProblemText(read.problem) });
    return z.NEVER;
  });

export const storeForm = z
  .object({
    name: storeName,
    role: choice(['', ...STORE_ROLE_NAMES]),
    capacitance: bankText,
    ratedVoltage: optionalQuantity('volt'),
    bleed: optionalQuantity('ohm'),
    holdSource: choice(['', ...HOLD_SOURCE_NAMES]),
    holdVoltage: optionalQuantity('volt'),
  })
  .superRefine(({ role, capacitance, holdSource, holdVoltage }, context) => {
    if (role !== 'battery' && capacitance.capacitance === 0)
      context.addIssue({ code: 'custom', path: ['capacitance'], message: bankProblemText({ kind: 'blank' }) });
    if (holdSource === 'user' && holdVoltage === undefined)
      context.addIssue({
        code: 'custom',
        path: ['holdVoltage'],
        message: 'Your own figure in volts is expected, like 620V.',
      });
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
  damage: z.array(z.enum(DAMAGE_WORDS)).max(8),
  fitments: z.array(z.enum(FITMENT_NAMES)).max(4),
});
export type PlaceForm = z.output<typeof placeForm>;

/** What pins of a chip seem to be, by number. */
export const pinHintsForm = z.record(
  z.coerce.number().int().min(1).max(64),
  z.enum(Object.keys(PIN_FUNCTIONS) as [PinFunction, ...PinFunction[]]),
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

export const measurementForm = z
  .object({ inCircuit: tick, meter: freeText(60), ohms: freeText(4000) })
  .catchall(z.string());
export type MeasurementForm = z.output<typeof measurementForm>;

export const noteForm = z.object({
  station: z.enum(STATIONS),
  ref: freeText(10),
  text: requiredText('There is nothing to note yet. Write what you saw.', 2000),
  sort: z.enum(['note', 'question', 'claim']).default('note'),
});

export const standingForm = z.object({ standing: z.enum(STANDINGS), because: freeText(300) });

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

export const openingStepForm = z.object({
  seam: z.enum(SEAM_NAMES),
  method: choice(['', ...METHODS]),
  drive: freeText(40),
  count: optionalPieces(200),
  place: freeText(120),
  minutes: optionalQuantity('second'),
  damage: z.enum(DAMAGE_NAMES),
  kept: freeText(120),
});
export type OpeningStepForm = z.output<typeof openingStepForm>;

export const reassemblyForm = z.object({
  result: z.enum(['works', 'closed', 'loose', 'not-possible']),
  remark: freeText(200),
});

const weight = z.number().min(0).max(5);
export const weightsForm = z.object(
  Object.fromEntries(FACTORS.map((factor) => [factor, weight])) as Record<Factor, typeof weight>,
);
