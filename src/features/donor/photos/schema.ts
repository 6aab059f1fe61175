import { z } from 'zod';
import { STATIONS } from '../../../core/station';
import { choice, freeText } from '../../../ui/form/fieldSchemas';

export const photoForm = z.object({
  caption: freeText(200),
  station: z.enum(STATIONS),
  side: choice(['', 'front', 'back', 'inside', 'label']),
});

/** A place on a photo as shares of its width and height. */
const share = z.number().min(0).max(1);
const point = z.object({ x: share, y: share });
export const pinForm = z.object({ photoId: z.string().max(64), ...point.shape, note: freeText(300) });
export const pairForm = z.object({
  frontId: z.string().max(64),
  backId: z.string().max(64),
  matches: z.array(z.object({ front: point, back: point })).length(3),
});

const pinName = z.string().regex(/^[A-Z]{1,4}\d{1,4}[A-Z]?\.[A-Za-z0-9+_~-]{1,8}$/, 'a pin such as Q1.D is expected');
export const spotsForm = z.object({
  photoId: z.string().max(64),
  spots: z
    .array(point.extend({ pin: pinName }))
    .min(1)
    .max(400),
});
/** How a picture was made ready, as it comes beside its bytes. */
export const preparedForm = z.object({
  from: z.string().min(1).max(64),
  mirror: z.enum(['yes', 'no']).transform((word) => word === 'yes'),
  corners: z
    .string()
    .max(400)
    .transform((typed, context) => {
      try {
        return JSON.parse(typed) as unknown;
      } catch {
        context.addIssue('four corners as JSON are expected');
        return z.NEVER;
      }
    })
    .pipe(z.tuple([point, point, point, point]))
    .optional(),
});
