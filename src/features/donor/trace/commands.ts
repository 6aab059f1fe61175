import type { AppContext } from '../../../db/context';
import { findBoardFact } from '../../../db/repositories/boardFacts';
import { refuse, run, type Outcome } from '../../../services/command';

/** Deletes one thing the meter was said to have told; it can be undone. */
export function removeFact(app: AppContext, of: { code: string; factId: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'trace' }, async (edit, donor) => {
    const fact = await findBoardFact(edit.tx, donor.id, of.factId);
    if (!fact) return refuse('row-gone', {});
    await edit.remove('boardFacts', fact.id);
    if (fact.relation === 'fixed') return `${fact.a} is read by the evidence again.`;
    return `Deleted: ${fact.b === '' ? `${fact.a} and nothing else` : `${fact.a} and ${fact.b}, ${fact.relation}`}.`;
  });
}
