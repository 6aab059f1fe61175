'use server';

import { z } from 'zod';
import { appContext } from '../../../db/appContext';
import type { FormOutcome } from '../../../ui/form/outcome';
import { ofPart } from '../shared/arguments';
import { keepFinding } from './commands';

const measured = z.object({ value: z.number().finite(), resolution: z.number().nonnegative() });
const values = z.record(z.string().max(40), measured).refine((fields) => Object.keys(fields).length > 0);

/** As many points as a picture shows. */
const seen = z.object({
  title: z.string().max(200),
  channels: z
    .array(
      z.object({
        name: z.string().max(80),
        unit: z.string().max(20),
        points: z.array(z.object({ t: z.number().finite(), v: z.number().finite() })).max(8000),
      }),
    )
    .max(4),
});

export async function keepFindingAction(
  of: z.input<typeof ofPart>,
  found: z.input<typeof values>,
  view: z.input<typeof seen>,
): Promise<FormOutcome> {
  return keepFinding(appContext(), ofPart.parse(of), values.parse(found), seen.parse(view));
}
