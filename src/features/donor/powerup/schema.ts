import { z } from 'zod';

const step = z.string().min(1).max(60);

/** What was read or seen at a step. */
export const answered = z.object({ step, text: z.string().max(60) });
/** A step that failed, and in which of the ways it may. */
export const failed = answered.extend({ when: z.string().max(80) });
