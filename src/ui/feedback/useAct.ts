'use client';

import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import type { FormOutcome } from '../form/outcome';
import { useNotice } from './Notices';

/** Runs an action, says what came of it with a way back, and shows the page anew. */
export function useAct(action: () => Promise<FormOutcome>): { act: () => void; pending: boolean } {
  const [pending, start] = useTransition();
  const notify = useNotice();
  const router = useRouter();
  const act = () =>
    start(async () => {
      const outcome = await action().catch((): FormOutcome => ({
        ok: false,
        problems: [{ message: 'The server did not answer. Nothing was changed; try again.' }],
      }));
      if (!outcome.ok) {
        notify({ message: outcome.problems.map(({ message }) => message).join(' ') });
        return;
      }
      notify({ message: outcome.message ?? 'Done.', ...(outcome.undo ? { undo: outcome.undo } : {}) });
      if (outcome.goto) router.push(outcome.goto);
      else router.refresh();
    });
  return { act, pending };
}
