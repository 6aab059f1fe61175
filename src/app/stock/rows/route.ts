import { loadStockRows } from '../../../features/stock/pages.server';
import { rowsRoute } from '../../rowsQuestion';

/** A page of the lots that a question finds, for a list that is scrolled. */
export const GET = rowsRoute(({ find, page, order }) => loadStockRows(find, page, order));
