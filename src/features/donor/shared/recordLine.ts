import { understand } from '../../../core/benchline';
import type { StationName } from '../../../core/station';
import type { AppContext } from '../../../db/context';
import { findDonor } from '../../../db/repositories/donors';
import { keepSlips } from '../../../db/repositories/settings';
import { refusal, refused, type Outcome } from '../../../services/command';
import { lineContext, openDossier } from '../../../services/dossier';
import { record } from './writeRecord';

/** Reads one bench line and stores what it means, or says which word was not understood. */
export async function recordLine(
  app: AppContext,
  of: { code: string; station: StationName; line: string },
): Promise<Outcome> {
  const donor = await findDonor(app.db.read, of.code);
  if (!donor) return refused(refusal('donor-gone', { code: of.code }));
  const understood = understand(
    of.line,
    await lineContext(openDossier(app.db.read, donor, app.now()), { types: true }),
  );
  if (!understood.ok) return refused(refusal('line-unreadable', { problem: understood.problem }));
  const outcome = await record(app, of, understood.records);
  if (outcome.ok && understood.corrected.length > 0) await keepSlips(app, understood.corrected);
  if (!outcome.ok || understood.changes.length === 0) return outcome;
  return { ...outcome, message: [outcome.message, ...understood.changes].join(' ') };
}
