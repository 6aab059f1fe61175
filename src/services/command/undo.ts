import type { Bench } from '../../db/context';
import { findDonor } from '../../db/repositories/donors';
import { latestEntry, undoEdit, type UndoOutcome } from '../../db/repositories/journal';
import type { FormOutcome } from '../../ui/form/outcome';

const SAYS: Readonly<Record<UndoOutcome['kind'], (says: string) => string>> = {
  undone: (says) => `Taken back: ${says}`,
  'not-found': () => 'There is nothing to take back.',
  'already-undone': () => 'That was taken back already.',
  'changed-since': () => 'Something was done to it since, so it stays. Take the later step back first.',
};

/** Takes one recorded step back, of a donor or of the stock. */
export async function undoStep(bench: Bench, id: string): Promise<FormOutcome> {
  return outcomeOf(await undoEdit(bench, id));
}

/** Takes the latest step of a donor back. */
export async function undoLatest(bench: Bench, code: string): Promise<FormOutcome> {
  const donor = await findDonor(bench.db.read, code);
  const entry = donor && (await latestEntry(bench.db.read, donor.id));
  return outcomeOf(entry === undefined ? { kind: 'not-found' } : await undoEdit(bench, entry));
}

function outcomeOf(outcome: UndoOutcome): FormOutcome {
  const message = SAYS[outcome.kind]('says' in outcome ? outcome.says : '');
  return outcome.kind === 'undone' ? { ok: true, says: message } : { ok: false, problems: [{ message }] };
}
