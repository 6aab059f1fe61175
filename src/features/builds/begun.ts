import { z } from 'zod';

const query = z.object({ role: z.string().max(60).default(''), need: z.string().max(400).default('') });

/** A need that an address begins, as it will stand in the form. */
export type NeedBegun = z.output<typeof query>;

/** The need that an address begins; empty where it begins none. */
export function needBegun(typed: unknown): NeedBegun {
  const read = query.safeParse(typed);
  return read.success ? read.data : { role: '', need: '' };
}
