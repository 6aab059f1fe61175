import { z } from 'zod';
import { BIN_CODE } from '../../core/ident';

/** An argument of an action: a code or an id. */
export const key = z.string().min(1).max(64);

/** A bin's code in a form, in upper case. */
export const binCode = z.string().trim().toUpperCase().regex(BIN_CODE.pattern, BIN_CODE.expected);
