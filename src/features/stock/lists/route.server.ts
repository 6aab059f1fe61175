import 'server-only';
import { z } from 'zod';
import { BIN_CODE } from '../../../core/ident';
import { isRole, type ColumnRole, type SheetSaid } from '../../../core/stock';
import { appContext } from '../../../db/appContext';
import { listRoute, type ListSaid } from '../../../server/uploads';
import { importLots, previewLots } from '../../../services/exchange';

const address = z.object({
  /** What each column is, in their order; nothing where it stands as it was understood. */
  roles: z
    .string()
    .default('')
    .transform((text) => text.split(',').map((word): ColumnRole | undefined => (isRole(word) ? word : undefined))),
  bin: z
    .string()
    .default('')
    .transform((text) => text.trim().toUpperCase())
    .refine((text) => text === '' || BIN_CODE.pattern.test(text), BIN_CODE.expected),
});

/** What a person put right of a list; what cannot be read of it is left to the list itself. */
function saidOf(said: ListSaid): SheetSaid {
  const { data } = address.safeParse(said);
  return data ?? {};
}

/** Answers a list of lots that was sent: what it would bring, or that it came in. */
export const answerLots = listRoute({
  what: 'lots',
  preview: (text, pause, said) => previewLots(appContext(), text, pause, saidOf(said)),
  apply: (text, pause, said) => importLots(appContext(), text, pause, saidOf(said)),
});
