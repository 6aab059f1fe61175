'use client';

import type { ReactNode } from 'react';
import type { FormOutcome } from '../form/outcome';
import { useAct } from '../command/useAct';

/** A button that acts at once; what it did can be undone from the notice. */
export function ActionButton({
  action,
  children,
  tone,
  label,
  id,
}: {
  action: () => Promise<FormOutcome>;
  children: ReactNode;
  tone?: 'next' | 'quiet' | 'small';
  /** What it does, when its words alone do not tell. */
  label?: string;
  /** What a key of the screen presses. */
  id?: string;
}) {
  const { act, pending } = useAct(action);
  return (
    <button type="button" id={id} className="btn" data-tone={tone} aria-label={label} disabled={pending} onClick={act}>
      {children}
    </button>
  );
}
