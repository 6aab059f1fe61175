import type { AppContext } from '../../../db/context';
import { findFilter } from '../../../db/repositories/bins';
import { refuse, run, type Outcome } from '../../../services/command';

/** Keeps a question asked of stock under a name. */
export function saveFilter(app: AppContext, of: { name: string; filter: string }): Promise<Outcome> {
  return run(app, { scope: 'stock' }, async (edit) => {
    await edit.insert('savedFilters', { ...of, createdMs: app.now() });
    return `“${of.name}” is kept: ${of.filter}.`;
  });
}

/** Deletes a kept question. */
export function removeFilter(app: AppContext, id: string): Promise<Outcome> {
  return run(app, { scope: 'stock' }, async (edit) => {
    const kept = await findFilter(edit.tx, id);
    if (!kept) return refuse('filter-gone', {});
    await edit.remove('savedFilters', id);
    return `“${kept.name}” is deleted.`;
  });
}
