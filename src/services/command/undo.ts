import type { AppContext } from '../../db/context';
import { findDonor } from '../../db/repositories/donors';
import { isBusy, latestEntry } from '../../db/repositories/journal';
import { undoEdit, type UndoOutcome } from '../../db/repositories/undo';
import { refusal, type RefusalCode } from './refusals';
import { refused, type Outcome } from './run';

const CODES = {
  'not-found': 'undo-nothing',
  'already-undone': 'undone-already',
  'changed-since': 'changed-since',
} as const satisfies Record<Exclude<UndoOutcome['kind'], 'undone'>, RefusalCode>;

/** Undoes one recorded step, whole or not at all. */
export async function undoStep(app: AppContext, id: string): Promise<Outcome> {
  try {
    return outcomeOf(await undoEdit(app, id));
  } catch (error) {
    if (isBusy(error)) return refused(refusal('busy', {}));
    throw error;
  }
}

/** Undoes the latest step of a donor. */
export async function undoLatest(app: AppContext, code: string): Promise<Outcome> {
  const donor = await findDonor(app.db.read, code);
  const entry = donor && (await latestEntry(app.db.read, donor.id));
  return entry === undefined ? outcomeOf({ kind: 'not-found' }) : undoStep(app, entry);
}

function outcomeOf(outcome: UndoOutcome): Outcome {
  return outcome.kind === 'undone'
    ? { ok: true, message: `Undone: ${outcome.message}`, value: undefined }
    : outcome.kind === 'changed-since' && outcome.by
      ? refused(refusal('list-in-use', { codes: outcome.by }))
      : refused(refusal(CODES[outcome.kind], {}));
}
