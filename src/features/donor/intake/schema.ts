import { z } from 'zod';
import { FACTORS, type Factor } from '../../../core/advice';
import { COOLING_NAMES, MOUNTING_NAMES, PLUG_NAMES } from '../../../core/module';
import { INLET_NAMES, type NameplateInput, type NameplateOutput } from '../../../core/nameplate';
import type { Unit } from '../../../core/quantity';
import { ORIGIN_NAMES, SYMPTOM_NAMES, UNIT_KIND_NAMES } from '../../../core/unit';
import {
  choice,
  freeText,
  optionalQuantity,
  requiredQuantity,
  requiredText,
  tick,
} from '../../../ui/form/fieldSchemas';

/** A side of a unit on a bench: when it is longer, the unit of the number is probably another one. */
const side = () =>
  optionalQuantity('metre').superRefine((quantity, context) => {
    if (quantity === undefined || quantity.value <= LONGEST) return;
    context.addIssue({
      code: 'custom',
      message: `${quantity.value} m is longer than any bench. ${quantity.value}mm is likely: write it with its unit.`,
    });
  });
/** No side of a unit is longer, in metres. */
const LONGEST = 3;

export const donorForm = z.object({
  description: requiredText('What is it? A few words, like label-printer adapter.', 120),
  kind: choice(['', ...UNIT_KIND_NAMES]),
  maker: freeText(80),
  model: freeText(80),
  nameplate: freeText(1000),
  /** Which counts, once fields were put right by hand and the text is another one. */
  plateCounts: choice(['', 'hand', 'text']),
  originKind: choice(['', ...ORIGIN_NAMES]),
  origin: freeText(200),
  clearance: choice(['', 'cleared', 'not-cleared']),
  /** Why a unit that was not cleared is cleared now. */
  clearanceReason: freeText(300),
  symptomKind: choice(['', ...SYMPTOM_NAMES]),
  symptom: freeText(300),
  dateCodes: freeText(300),
  length: side(),
  width: side(),
  height: side(),
  mass: optionalQuantity('kilogram'),
  ambient: optionalQuantity('celsius'),
  fuse: optionalQuantity('ampere'),
  switch: optionalQuantity('ampere'),
  thyristor: optionalQuantity('ampere'),
  inlet: choice(['', ...INLET_NAMES]),
  /** Cross-section of the cable in square millimetres. */
  cable: choice(['', '0.5', '0.75', '1', '1.5', '2.5', '4']),
  plug: choice(['', ...PLUG_NAMES]),
  cooling: choice(['', ...COOLING_NAMES]),
  mounting: choice(['', ...MOUNTING_NAMES]),
  ripple: optionalQuantity('volt'),
});
export type DonorForm = z.output<typeof donorForm>;

/** A quantity that must be above zero where it is given. */
const positive = (unit: Unit) =>
  optionalQuantity(unit).refine((quantity) => quantity === undefined || quantity.value > 0, {
    error: 'More than zero is expected.',
  });

const plateInput = z
  .object({
    kind: z.enum(['ac', 'dc']),
    vMin: requiredQuantity('volt').refine(({ value }) => value > 0, 'An input voltage above zero is expected.'),
    vMax: positive('volt'),
    current: positive('ampere'),
    power: positive('watt'),
    /** One frequency or several, as on the plate: `50/60`. */
    hertz: freeText(40).transform((text, context) =>
      text
        .split(/[/,\s-]+/)
        .filter((word) => word !== '')
        .map((word) => {
          const read = positive('hertz').safeParse(word);
          if (!read.success) context.addIssue({ code: 'custom', message: read.error.issues[0]?.message ?? '' });
          return read.data?.value ?? 0;
        }),
    ),
  })
  .refine(({ vMin, vMax }) => vMax === undefined || vMin.value <= vMax.value, {
    path: ['vMax'],
    message: 'The upper end of an input range is at least its lower end.',
  })
  .transform(({ kind, vMin, vMax, current, power, hertz }): NameplateInput => ({
    kind,
    vMin: vMin.value,
    vMax: (vMax ?? vMin).value,
    ...(current && { current: current.value }),
    ...(power && { power: power.value }),
    ...(hertz.length > 0 && { frequencies: hertz }),
  }));

const plateOutput = z
  .object({
    v: requiredQuantity('volt'),
    vMax: optionalQuantity('volt'),
    i: positive('ampere'),
    p: positive('watt'),
    mark: choice(['', 'alternative', 'standby']),
    ac: tick,
    port: freeText(20),
  })
  .transform(({ v, vMax, i, p, mark, ac, port }): NameplateOutput => ({
    v: v.value,
    ...(vMax && { vMax: vMax.value }),
    ...(i && { i: i.value }),
    ...(p && { p: p.value }),
    ...(mark !== '' && { [mark]: true }),
    ...(ac && { ac: true as const }),
    ...(port !== '' && { port }),
  }));

/** What of a plate is put right by hand; the rest of it stays as it was read. */
export const plateForm = z.object({
  inputs: z.array(plateInput).max(6).default([]),
  outputs: z.array(plateOutput).max(24).default([]),
  total: positive('watt'),
});
export type PlateForm = z.output<typeof plateForm>;

export const soakForm = z
  .object({
    watts: optionalQuantity('watt'),
    celsius: optionalQuantity('celsius'),
    volts: optionalQuantity('volt'),
    load: optionalQuantity('ampere'),
    elapsed: optionalQuantity('duration'),
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
