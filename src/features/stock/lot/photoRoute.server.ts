import 'server-only';
import { z } from 'zod';
import { appContext } from '../../../db/appContext';
import { fileRoute } from '../../../server/uploads';
import { photoStore } from '../../../services/attachments';
import { photographLot } from './lotPhoto';

/** Takes one photo of a lot. */
export const answerLotPhoto = fileRoute({
  question: z.object({ name: z.string().min(1).max(200).default('The file') }),
  expected: 'A photo is expected as plain bytes, with its name.',
  receive: ({ code }: { code: string }, of) =>
    photographLot(appContext(), photoStore(), { code: code.toUpperCase(), ...of }),
});
