'use client';

import dynamic from 'next/dynamic';
import { useRef, useState, type ReactNode } from 'react';
import type { FormOutcome } from '../form/outcome';
import { useHydrated } from '../form/useHydrated';
import { useAct } from '../command/useAct';

const ConfirmDialog = dynamic(() => import('./ConfirmDialog'), { ssr: false });

/** A button that asks once before it acts; what it did can be undone from the notice. */
export function ConfirmButton({
  action,
  title,
  detail,
  confirm,
  children,
  tone = 'quiet',
}: {
  action: () => Promise<FormOutcome>;
  title: string;
  detail: string;
  confirm: string;
  children: ReactNode;
  tone?: 'quiet' | 'stop';
}) {
  const { act, pending } = useAct(action);
  const [asking, setAsking] = useState(false);
  const hydrated = useHydrated();
  const button = useRef<HTMLButtonElement>(null);
  function close() {
    setAsking(false);
    button.current?.focus();
  }
  return (
    <>
      <button
        ref={button}
        type="button"
        className="btn"
        data-tone={tone}
        aria-haspopup="dialog"
        disabled={!hydrated || pending}
        onClick={() => setAsking(true)}
      >
        {children}
      </button>
      {asking && <ConfirmDialog {...{ title, detail, confirm }} onConfirm={act} onClose={close} />}
    </>
  );
}
