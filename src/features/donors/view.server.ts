import 'server-only';
import type { AppContext } from '../../db/context';
import { DONOR_ORDERS, donorTitle, listArchived } from '../../db/repositories/donors';
import { donorLines, type DonorLine } from '../../services/dossier';
import { PAGE_ROWS, readOrder } from '../../ui/list/rows';
import { agoOf } from '../../ui/value/moments';

/** Archived donors shown. */
const SHOWN = 200;

/** The first of the donors that carry some words. */
export async function donorsView(app: AppContext, find: string, orderText: string) {
  const order = readOrder(orderText, DONOR_ORDERS);
  const { lines, total } = await donorLines(app, { query: find, page: 0, size: PAGE_ROWS, order });
  return { find, lines, total, order: order ?? null, orders: DONOR_ORDERS };
}

/** A further page of them, counted from 0. */
export async function moreDonors(
  app: AppContext,
  find: string,
  page: number,
  orderText: string,
): Promise<readonly DonorLine[]> {
  const order = readOrder(orderText, DONOR_ORDERS);
  return (await donorLines(app, { query: find, page, size: PAGE_ROWS, order })).lines;
}

/** Donors that were archived, for bringing them back. */
export async function archivedLines({
  db,
  now,
}: AppContext): Promise<{ code: string; title: string; label: string }[]> {
  const moment = now();
  return (await listArchived(db.read, SHOWN)).map((donor) => ({
    code: donor.code,
    title: donorTitle(donor),
    label: `archived ${agoOf(donor.deletedMs ?? moment, moment)}`,
  }));
}
