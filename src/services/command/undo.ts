import type { AppContext } from '../../db/context';
import { findDonor } from '../../db/repositories/donors';
import { isBusy, latestEntry } from '../../db/repositories/journal';
import { redoEdit, undoEdit, type UndoOutcome } from '../../db/repositories/undo';
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
    return outcomeOf(await undoEdit(app, id), id);
  } catch (error) {
    if (isBusy(error)) return refused(refusal('busy', {}));
    throw error;
  }
}

/** Does a step again that was undone. */
export async function redoStep(app: AppContext, id: string): Promise<Outcome> {
  try {
    const outcome = await redoEdit(app, id);
    return outcome.kind === 'undone'
      ? { ok: true, message: `Done again: ${outcome.message}`, undo: id, value: undefined }
      : refused(refusal('redo-impossible', {}));
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

function outcomeOf(outcome: UndoOutcome, id = ''): Outcome {
  if (outcome.kind === 'undone') return { ok: true, message: `Undone: ${outcome.message}`, redo: id, value: undefined };
  if (outcome.kind !== 'changed-since') return refused(refusal(CODES[outcome.kind], {}));
  const { lots, steps } = outcome.holds ?? {};
  if (lots) return refused(refusal('list-in-use', { codes: lots }));
  return refused(steps ? refusal('steps-rest-on-it', { steps }) : refusal('changed-since', {}));
}
