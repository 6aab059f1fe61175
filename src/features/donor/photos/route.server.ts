import 'server-only';
import { z } from 'zod';
import { STATIONS } from '../../../core/station';
import { fileRoute } from '../../../server/uploads';
import { receiveUpload } from './view.server';

/** Takes one photo of a donor. */
export const answerPhoto = fileRoute({
  question: z.object({ station: z.enum(STATIONS), name: z.string().min(1).max(200).default('The file') }),
  expected: 'A photo is expected as plain bytes, with its station.',
  receive: ({ code }: { code: string }, of) => receiveUpload({ code: code.toUpperCase(), ...of }),
});
