import 'server-only';
import { z } from 'zod';
import { appContext } from '../../db/appContext';
import { listRoute } from '../../server/uploads';
import { importNeeds, previewNeeds } from '../../services/exchange';

const route = z.object({ code: z.string().min(1).max(64) });

/** Answers a list of needs that was sent for a build: what it would add, or that it was added. */
export async function answerNeeds(
  request: Request,
  { params }: { params: Promise<{ code: string }> },
): Promise<Response> {
  const { code } = route.parse(await params);
  return listRoute({
    what: 'needs',
    preview: (text, pause, said) => previewNeeds(appContext(), text, pause, said),
    apply: (text, _pause, said) => importNeeds(appContext(), code.toUpperCase(), text, said),
  })(request);
}
