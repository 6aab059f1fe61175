import { importPreview, importTypes } from '../../../features/types/views';
import { listRoute } from '../../../server/progress';

/** Reads a list of types, and takes it in when asked to. */
export const POST = listRoute({ what: 'types', preview: importPreview, apply: importTypes });
