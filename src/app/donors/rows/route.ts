import { loadDonorRows } from '../../../features/donors/pages.server';
import { rowsRoute } from '../../rowsQuestion';

/** A page of the donors that carry some words, for a list that is scrolled. */
export const GET = rowsRoute(({ find, page, order }) => loadDonorRows(find, page, order));
