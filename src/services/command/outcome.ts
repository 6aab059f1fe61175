import type { Bench } from '../../db/context';
import { findDonor, type Donor } from '../../db/repositories/donors';
import { isConstraintFailure, recordEdit, type Edit } from '../../db/repositories/journal';
import type { StationName } from '../../core/station';
import type { FormOutcome, FormProblem } from '../../ui/form/outcome';

/** A refusal that the person can do something about. */
export class Refusal extends Error {
  constructor(readonly problem: FormProblem) {
    super(problem.message);
  }
}

/** Stops an edit with a message, beside a field when one is to blame. */
export function refuse(message: string, field?: string): never {
  throw new Refusal(field === undefined ? { message } : { field, message });
}

/** Turns refusals into an outcome; anything else is a bug and goes on. */
export async function settle(work: () => Promise<FormOutcome>): Promise<FormOutcome> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problems: [error.problem] };
    throw error;
  }
}

/**
 * Edits one donor: finds it, runs the work in a transaction with a journal entry, and answers with
 * what was done and how to take it back. Refusals come out as problems, and nothing is stored.
 * @param taken what to say when a name is taken already
 */
export function editDonor(
  bench: Bench,
  of: { code: string; station: StationName; taken?: FormProblem; goto?: string },
  work: (edit: Edit, donor: Donor) => Promise<string>,
): Promise<FormOutcome> {
  return settle(async () => {
    const donor = await findDonor(bench.db.read, of.code);
    if (!donor) return refuse(`There is no donor ${of.code} any more.`);
    try {
      const { journalId, says } = await recordEdit(bench, { donorId: donor.id, station: of.station }, (edit) =>
        work(edit, donor),
      );
      return { ok: true, says, undo: journalId, ...(of.goto ? { goto: of.goto } : {}) };
    } catch (error) {
      if (of.taken && isConstraintFailure(error)) throw new Refusal(of.taken);
      throw error;
    }
  });
}
