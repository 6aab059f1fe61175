import 'server-only';
import { appContext } from '../../db/appContext';
import { exportLots } from '../../services/exchange';
import { ageingView, binsView, doneLately, stocktakeView } from './bins/view.server';
import { stockHead, stockRows, stockView } from './find/view.server';
import { lotLabels, lotLabelsPdf } from './labels/view.server';
import { lotView } from './lot/view.server';
import { readAt } from '../../ui/frame/readAt';

// What the pages ask of this area, on the context of this server.

/** What a question finds in the drawers, with what lies there in all. */
export async function loadStock(find: string, order: string) {
  const app = appContext();
  const [view, head] = await Promise.all([stockView(app, find, order), stockHead(app)]);
  return { view, head };
}

export const loadStockRows = (find: string, page: number, order: string) => stockRows(appContext(), find, page, order);

export const loadStockFile = (find: string, as: 'csv' | 'json') => exportLots(appContext().db.read, find, as);

export const loadLot = (code: string) => lotView(appContext(), code);

/** The bins, what lies too long in them, and what was done lately. */
export async function loadBins() {
  readAt();
  const app = appContext();
  const [view, ageing, done] = await Promise.all([binsView(app), ageingView(app), doneLately(app)]);
  return { view, ageing, done };
}

export function loadStocktake(bin: string) {
  readAt();
  return stocktakeView(appContext(), bin);
}

export const loadLabels = (codes: readonly string[], origin: string, size?: string) =>
  lotLabels(appContext(), codes, origin, size);

export const loadLabelsPdf = (
  codes: readonly string[],
  origin: string,
  of: { size: string | undefined; skip: number },
) => lotLabelsPdf(appContext(), codes, origin, of);
