'use client';

import { useState, type ReactNode } from 'react';

/** The right half: what is made of the evidence. On a narrow screen a sheet pulled up from the bottom edge. */
export function Judgement({ children, label = 'Judgement' }: { children: ReactNode; label?: string }) {
  const [open, setOpen] = useState(false);
  return (
    <aside className="judgement" aria-label={label} data-open={open ? '' : undefined}>
      <button
        type="button"
        className="judgement-handle"
        aria-expanded={open}
        aria-label={open ? 'Lower the judgement' : 'Raise the judgement'}
        onClick={() => setOpen(!open)}
      />
      {/* Scrolled by keyboard when it overflows. */}
      <div className="judgement-body" tabIndex={0} role="group" aria-label={`${label}, details`}>
        {children}
      </div>
    </aside>
  );
}
