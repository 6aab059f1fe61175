import type { Bench } from '../../../db/context';
import { findBoardFact } from '../../../db/repositories/boardFacts';
import type { FormOutcome } from '../../../ui/form/outcome';
import { editDonor, refuse } from '../../../services/command/outcome';

/** Drops one thing the meter was said to have told; it stays in the waste bin and can be taken back. */
export function strikeFact(bench: Bench, of: { code: string; factId: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'trace' }, async (edit, donor) => {
    const fact = await findBoardFact(edit.tx, donor.id, of.factId);
    if (!fact) return refuse('That is not there any more.');
    await edit.remove('boardFacts', fact.id);
    if (fact.relation === 'fixed') return `${fact.a} is read by the evidence again.`;
    return `Dropped: ${fact.b === '' ? `${fact.a} and nothing else` : `${fact.a} and ${fact.b}, ${fact.relation}`}.`;
  });
}
