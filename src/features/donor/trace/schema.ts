import { z } from 'zod';
import { FIXED_ROLES, TOPOLOGY_WORDS } from '../../../core/board';

const pin = z.string().regex(/^[A-Z]{1,4}\d{1,4}[A-Z]?\.[A-Za-z0-9+_~-]{1,8}$/, 'a pin such as Q1.D is expected');
const reading = z.number().finite().nonnegative();

/** No sweep asks for more pins. */
const TOUCHED_AT_MOST = 20;

/** What is said of two pins by a click, a key or the meter, or what a part is taken for. */
export const tracedEntry = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('join'),
    relation: z.enum(['joined', 'separate', 'through']),
    pins: z.tuple([pin, pin]),
    ohms: reading.optional(),
    drop: reading.optional(),
  }),
  z.object({ kind: z.literal('sweep'), pin }),
  // One lead is kept on a pin while the other touches some.
  z.object({
    kind: z.literal('touched'),
    hold: pin,
    beeps: z.array(pin).max(TOUCHED_AT_MOST),
    silent: z.array(pin).max(TOUCHED_AT_MOST),
    // What could not be reached, or told.
    open: z.array(pin).max(TOUCHED_AT_MOST),
  }),
  z.object({ kind: z.literal('unsure'), pins: z.tuple([pin, pin]) }),
  z.object({
    kind: z.literal('fix'),
    ref: z.string().regex(/^[A-Z]{1,4}\d{1,4}[A-Z]?$/, 'a reference such as T1 is expected'),
    as: z.enum([...Object.keys(TOPOLOGY_WORDS), ...Object.keys(FIXED_ROLES)] as [string, ...string[]]),
  }),
]);
export type TracedEntry = z.output<typeof tracedEntry>;
