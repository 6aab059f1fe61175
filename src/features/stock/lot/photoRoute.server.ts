import 'server-only';
import { z } from 'zod';
import { appContext, databaseUrl } from '../../../db/context';
import { photosFolder } from '../../../server/photos';
import { fileRoute } from '../../../server/uploads';
import { photographLot } from './lotPhoto';

/** Takes one photo of a lot. */
export const answerLotPhoto = fileRoute({
  question: z.object({ name: z.string().min(1).max(200).default('The file') }),
  expected: 'A photo is expected as plain bytes, with its name.',
  receive: ({ code }: { code: string }, of) =>
    photographLot(appContext(), photosFolder(databaseUrl()), { code: code.toUpperCase(), ...of }),
});
