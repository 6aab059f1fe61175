import 'server-only';
import { listRoute } from '../../../server/uploads';
import { previewStock, takeStockIn } from '../bins/view.server';

/** Answers a list of lots that was sent: what it would bring, or that it came in. */
export const answerLots = listRoute({ what: 'lots', preview: previewStock, apply: takeStockIn });
