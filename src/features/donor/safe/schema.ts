import { z } from 'zod';
import { millivoltsText } from '../../../core/meter';
import { bankProblemText, HOLD_SOURCE_NAMES, isAlternating, parseBank, STORE_ROLE_NAMES } from '../../../core/safety';
import { choice, optionalQuantity, requiredQuantity } from '../../../ui/form/fieldSchemas';

const storeName = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[A-Z][A-Z0-9]{0,7}$/, 'A short name such as C3 or VBUS is expected: a letter, then letters or digits.');

/** What stands for a capacitance that cannot be read. */
const NOT_READABLE = '?';

/** The capacitors of a store; a battery has none. */
const bankText = z
  .string()
  .trim()
  .default('')
  .transform((text, context) => {
    if (text === '' || text === NOT_READABLE)
      return { text: '', capacitance: 0, links: 1, ratedVoltage: undefined, isUnknown: text !== '' };
    const read = parseBank(text);
    if (read.ok) {
      const { capacitance, links, ratedVoltage } = read.bank;
      const several = links.length > 1 || links.some(({ count }) => count > 1);
      return { text: several ? text : '', capacitance, links: links.length, ratedVoltage, isUnknown: false };
    }
    context.addIssue({ code: 'custom', message: bankProblemText(read.problem) });
    return z.NEVER;
  });

/** A rated voltage, and whether it is printed in alternating volts: `450V`, `2100VAC`. */
const ratedVolts = z
  .string()
  .default('')
  .transform((text, context) => {
    const read = optionalQuantity('volt').safeParse(text);
    if (read.success) return read.data && { ...read.data, isAc: isAlternating(text) };
    for (const { message } of read.error.issues) context.addIssue({ code: 'custom', message });
    return z.NEVER;
  });

export const storeForm = z
  .object({
    name: storeName,
    role: choice(['', ...STORE_ROLE_NAMES]),
    capacitance: bankText,
    ratedVoltage: ratedVolts,
    bleed: optionalQuantity('ohm'),
    holdSource: choice(['', ...HOLD_SOURCE_NAMES]),
    holdVoltage: optionalQuantity('volt'),
  })
  .superRefine(({ role, capacitance, holdSource, holdVoltage }, context) => {
    if (role !== 'battery' && capacitance.capacitance === 0 && !capacitance.isUnknown)
      context.addIssue({ code: 'custom', path: ['capacitance'], message: bankProblemText({ kind: 'blank' }) });
    if (holdSource === 'user' && holdVoltage === undefined)
      context.addIssue({
        code: 'custom',
        path: ['holdVoltage'],
        message: 'Your own figure in volts is expected, like 620V.',
      });
  });
export type StoreForm = z.output<typeof storeForm>;

/** The voltage of a store: direct, since an AC range hides what a charged capacitor holds. */
const directVoltage = z
  .string()
  .refine((text) => !/(?:ac|~)\s*$/i.test(text), {
    error: ({ input }) =>
      `“${String(input).trim()}” is an alternating voltage. An AC range hides what a capacitor holds: switch the meter to DC and read again.`,
    abort: true,
  })
  .refine((text) => !/\d\s*[muµμ]v?$/i.test(text.trim()) || /MV?$/.test(text.trim()), {
    error: ({ input }) => millivoltsText(String(input).trim()),
    abort: true,
  })
  .pipe(requiredQuantity('volt'));

export const readingForm = z.object({
  store: z.string(),
  voltage: directVoltage,
  elapsed: optionalQuantity('second'),
});
export type ReadingForm = z.output<typeof readingForm>;

/** A reading as the meter gave it, in volts, with the seconds of the stopwatch. */
export const latchedReading = z.object({
  store: storeName,
  voltage: z.object({ value: z.number().finite(), resolution: z.number().nonnegative() }),
  elapsed: z.number().nonnegative().optional(),
});
export type LatchedReading = z.output<typeof latchedReading>;

/** Where a typed reading belongs, with the seconds of the stopwatch when it runs. */
export const readingOf = z.object({ code: z.string().min(1).max(64), elapsed: z.number().nonnegative().optional() });

/** A bleed tool on a store; without ohms it is taken off. */
export const toolNote = z.object({ store: storeName, ohms: z.number().positive().finite().optional() });
export type ToolNote = z.output<typeof toolNote>;
