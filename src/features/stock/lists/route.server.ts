import 'server-only';
import { appContext } from '../../../db/appContext';
import { listRoute } from '../../../server/uploads';
import { importLots, previewLots } from '../../../services/exchange';

/** Answers a list of lots that was sent: what it would bring, or that it came in. */
export const answerLots = listRoute({
  what: 'lots',
  preview: (text, pause, said) => previewLots(appContext(), text, pause, said),
  apply: (text, pause, said) => importLots(appContext(), text, pause, said),
});
