import { loadTypeRows } from '../../../features/types/pages.server';
import { rowsRoute } from '../../rowsQuestion';

/** A page of the types that a question finds, for a list that is scrolled. */
export const GET = rowsRoute(({ find, kind, page, order }) => loadTypeRows({ query: find.trim(), kind, order }, page));
