import 'server-only';
import { z } from 'zod';
import { appContext } from '../../db/appContext';
import { datasheetByHash } from '../../db/repositories/types';
import { fileRoute } from '../../server/uploads';
import { datasheetName, datasheetStore } from '../../services/attachments';
import { attachDatasheet } from './commands';

/** Takes one datasheet of a type. */
export const answerDatasheet = fileRoute({
  question: z.object({ name: z.string().min(1).max(200).default('The file') }),
  expected: 'A datasheet is expected as plain bytes, with its name.',
  receive: ({ id }: { id: string }, of) => attachDatasheet(appContext(), datasheetStore(), { id, ...of }),
});

/** A known datasheet with what it was called, by its content's hash. */
export async function datasheetOf(hash: string): Promise<{ bytes: Uint8Array; name: string } | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash)) return undefined;
  const known = await datasheetByHash(appContext().db.read, hash);
  const bytes = known && (await datasheetStore().get(datasheetName(hash)));
  return bytes && { bytes, name: known.fileName };
}
