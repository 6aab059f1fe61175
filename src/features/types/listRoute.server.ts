import 'server-only';
import { appContext } from '../../db/appContext';
import { listRoute } from '../../server/uploads';
import { importTypes, previewTypes } from '../../services/exchange';

/** Answers a list of types that was sent: what it would change, or that it came in. */
export const answerTypes = listRoute({
  what: 'types',
  preview: (text, pause) => previewTypes(appContext(), text, pause),
  apply: (text, pause) => importTypes(appContext(), text, pause),
});
