import { z } from 'zod';

const step = z.string().min(1).max(60);

/** What was read or seen at a step. */
export const answered = z.object({ step, text: z.string().max(60) });
/** A step that failed, in which of the ways it may, and whether the strip was switched off before this was said. */
export const failed = answered.extend({ when: z.string().max(80), isOff: z.boolean() });
