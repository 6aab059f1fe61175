import 'server-only';
import { z } from 'zod';
import { fileRoute } from '../../server/uploads';
import { receiveDatasheet } from './view.server';

/** Takes one datasheet of a type. */
export const answerDatasheet = fileRoute({
  question: z.object({ name: z.string().min(1).max(200).default('The file') }),
  expected: 'A datasheet is expected as plain bytes, with its name.',
  receive: ({ id }: { id: string }, of) => receiveDatasheet({ id, ...of }),
});
