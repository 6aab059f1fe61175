import { z } from 'zod';
import { STATIONS } from '../../../core/station';

// Arguments of actions arrive from the browser: each is held against its schema before it is used.

/** A code, an id or a reference. */
export const key = z.string().min(1).max(64);

/** A station of a donor. */
export const atStation = z.object({ code: key, station: z.enum(STATIONS) });

/** A part of a donor. */
export const ofPart = z.object({ code: key, ref: key });
