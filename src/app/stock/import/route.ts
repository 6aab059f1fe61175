import { previewStock, takeStockIn } from '../../../features/stock/storeViews';
import { listRoute } from '../../../server/progress';

/** Reads a list of lots, and takes it in when asked to. */
export const POST = listRoute({ what: 'lots', preview: previewStock, apply: takeStockIn });
