import 'server-only';
import type { AppContext } from '../../db/context';
import { donorTitle, listArchived } from '../../db/repositories/donors';
import { agoOf } from '../../ui/value/moments';

/** Archived donors shown. */
const SHOWN = 200;

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
