import 'server-only';
import { listRoute } from '../../server/uploads';
import { importPreview, importTypes } from './view.server';

/** Answers a list of types that was sent: what it would change, or that it came in. */
export const answerTypes = listRoute({ what: 'types', preview: importPreview, apply: importTypes });
