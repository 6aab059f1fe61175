'use client';

import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { useNotice } from '../feedback/Notices';
import type { FormOutcome } from '../form/outcome';

/** What a person is told when no answer came: nothing is lost, and they may try again. */
export const NO_ANSWER = 'The server did not answer. Nothing was changed, and what you typed is kept; try again.';
const DONE = 'Done.';

/** Told to the window when a command of this page was done. */
export const OWN_STEP = 'zorvek:own-step';

/** A command that got no answer counts as refused. */
export const UNANSWERED: FormOutcome = { ok: false, problems: [{ message: NO_ANSWER }] };

/** What came of a command in one sentence: what was done, or why nothing was. */
export function outcomeText(outcome: FormOutcome): string {
  return outcome.ok ? (outcome.message ?? DONE) : outcome.problems.map(({ message }) => message).join(' ');
}

/**
 * Runs commands for forms, buttons, lines and uploads alike: what was done is told with its way back, what was refused
 * is told too unless the caller shows it in its place, and the page is shown as it is now.
 */
export function useCommand() {
  const router = useRouter();
  const notify = useNotice();
  const [pending, start] = useTransition();

  /** Runs a command to its end. An error on the way is taken for no answer. */
  async function run(
    work: () => Promise<FormOutcome | undefined>,
    of: { refusal?: 'told' | 'shown' } = {},
  ): Promise<FormOutcome> {
    const outcome = (await work().catch(() => undefined)) ?? UNANSWERED;
    if (outcome.ok) {
      notify({
        message: outcomeText(outcome),
        ...(outcome.undo ? { undo: outcome.undo } : {}),
        ...(outcome.redo ? { redo: outcome.redo } : {}),
      });
      window.dispatchEvent(new Event(OWN_STEP));
      if (outcome.goto) router.push(outcome.goto);
      else router.refresh();
    } else if (of.refusal !== 'shown') {
      notify({ message: outcomeText(outcome) });
      router.refresh();
    }
    return outcome;
  }

  return { run, pending, start };
}
