import 'server-only';
import { appContext } from '../../db/appContext';
import { listRoute } from '../../server/uploads';
import { importTypes, previewTypes } from '../../services/exchange';

/** Answers a list of types that was sent: what it would change, or that it came in. */
export const answerTypes = listRoute({
  what: 'types',
  preview: (text, pause, said) => previewTypes(appContext(), text, pause, said),
  apply: (text, pause, said) => importTypes(appContext(), text, pause, said),
});
