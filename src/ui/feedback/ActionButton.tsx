'use client';

import type { ReactNode } from 'react';
import type { FormOutcome } from '../form/outcome';
import { useAct } from './useAct';

/** A button that acts at once; what it did can be taken back from the notice. */
export function ActionButton({
  action,
  children,
  tone,
}: {
  action: () => Promise<FormOutcome>;
  children: ReactNode;
  tone?: 'next' | 'quiet';
}) {
  const { act, pending } = useAct(action);
  return (
    <button type="button" className="btn" data-tone={tone} disabled={pending} onClick={act}>
      {children}
    </button>
  );
}
