'use client';

import { useRouter } from 'next/navigation';
import { useNotice } from '../../../ui/feedback/Notices';
import type { FormOutcome } from '../../../ui/form/outcome';

/** Runs a step that was asked for by a click or key, says what came of it, and shows the page anew. */
export function useTell(): (work: () => Promise<FormOutcome>) => Promise<FormOutcome | undefined> {
  const router = useRouter();
  const notify = useNotice();
  return async (work) => {
    const outcome = await work().catch(() => undefined);
    if (!outcome) notify({ message: 'The server did not answer. Nothing was recorded; try again.' });
    else if (!outcome.ok) notify({ message: outcome.problems.map(({ message }) => message).join(' ') });
    else notify({ message: outcome.message ?? 'Recorded.', ...(outcome.undo ? { undo: outcome.undo } : {}) });
    router.refresh();
    return outcome;
  };
}
