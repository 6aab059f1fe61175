'use client';

import type { FormOutcome } from '../form/outcome';
import { useCommand } from './useCommand';

/** A command behind a button. */
export function useAct(action: () => Promise<FormOutcome>): { act: () => void; pending: boolean } {
  const { run, pending, start } = useCommand();
  return { act: () => start(async () => void (await run(action))), pending };
}
