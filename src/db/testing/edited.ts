import type { StationName } from '../../core/station';
import type { AppContext } from '../context';
import { appendLedger, recordEdit, type Edit, type Recorded } from '../repositories/journal';

/** Records one edit of a donor at a station, or of the whole shop's types without one. */
export function edited(
  app: AppContext,
  of: { donorId: string; station: StationName } | undefined,
  work: (edit: Edit) => Promise<string>,
): Promise<Recorded> {
  return recordEdit(app, of ? 'donor' : 'types', (begin) => work(begin(of ?? { donorId: '', station: '' })));
}

/** Moves pieces of a lot in one line of the ledger, as commands do inside their step. */
export function moved(
  app: AppContext,
  line: Pick<Parameters<typeof appendLedger>[2], 'lotId' | 'needId' | 'onHandDelta' | 'reservedDelta' | 'reason'>,
): Promise<string> {
  return app.db.write((tx) => appendLedger(tx, app, { note: '', ...line }));
}

/** Keeps a setting of the shop. */
export async function keepSetting(app: AppContext, name: string, value: unknown): Promise<void> {
  await recordEdit(app, 'settings', async (begin) => {
    await begin({ donorId: '', station: '' }).setting(name, value);
    return 'a setting';
  });
}
