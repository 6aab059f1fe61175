import 'server-only';
import { appContext } from '../../db/appContext';
import type { Sum } from '../../core/sums';
import { filledFrom, keptSumViews, originOf } from './view.server';

// What the pages ask of this area, on the context of this server.

/** What a sum was opened from, and what it takes from there. */
export async function loadOrigin(sum: Sum, from: string | undefined) {
  const origin = from === undefined ? undefined : await originOf(appContext().db.read, from);
  if (!origin) return undefined;
  const { owner, ratings, plate, ...shown } = origin;
  return { origin: { ...shown, isKeeping: owner !== undefined }, filled: filledFrom(sum, { ratings, plate }) };
}

/** The sums kept with a donor or a build. */
export async function loadKeptSums(code: string) {
  const app = appContext();
  const owner = (await originOf(app.db.read, code))?.owner;
  return owner ? keptSumViews(app, owner, code) : [];
}
