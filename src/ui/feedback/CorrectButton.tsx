'use client';

import dynamic from 'next/dynamic';
import { useId, useState, type ReactNode } from 'react';
import { useHydrated } from '../form/useHydrated';

const FormDialog = dynamic(() => import('./FormDialog'), { ssr: false });

/** A button that opens what was recorded in a form of its own, to be put right. */
export function CorrectButton({
  label,
  title,
  children,
}: {
  /** What the button is called to those who do not see the row it stands in. */
  label: string;
  title: string;
  /** The form; it calls `close` once it is done. */
  children: (close: () => void) => ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  const hydrated = useHydrated();
  const id = useId();
  function close() {
    setOpen(false);
    document.getElementById(id)?.focus();
  }
  return (
    <>
      <button
        id={id}
        type="button"
        className="btn"
        data-tone="small"
        aria-label={label}
        aria-haspopup="dialog"
        disabled={!hydrated}
        onClick={() => setOpen(true)}
      >
        correct
      </button>
      {isOpen && (
        <FormDialog title={title} onClose={close}>
          {children(close)}
        </FormDialog>
      )}
    </>
  );
}
