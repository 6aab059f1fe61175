import type { Bench } from '../../db/context';
import { isConstraintFailure, recordEdit, type Edit } from '../../db/repositories/journal';
import type { FormOutcome } from '../../ui/form/outcome';

/** A refusal, beside its field when it is about one. */
export const problem = (message: string, field?: string): FormOutcome => ({
  ok: false,
  problems: [field === undefined ? { message } : { field, message }],
});

/** What to say when a name belongs to another type. */
export const TAKEN = 'There is a type of that kind with this number already; merge the two instead.';

/** A step of the whole shop, with its way back; a name that is taken is refused at the field. */
export async function edit(bench: Bench, work: (edit: Edit) => Promise<string>, goto?: string): Promise<FormOutcome> {
  try {
    const { journalId, says } = await recordEdit(bench, { donorId: '', station: 'identify' }, work);
    return { ok: true, says, undo: journalId, ...(goto ? { goto } : {}) };
  } catch (error) {
    if (isConstraintFailure(error)) return problem(TAKEN, 'name');
    throw error;
  }
}
