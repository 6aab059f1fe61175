import type { ReactNode } from 'react';

/** What was seen on the left, what is made of it on the right. */
export function Halves({ children, judgement }: { children: ReactNode; judgement: ReactNode }) {
  return (
    <div className="halves">
      <Evidence>{children}</Evidence>
      {judgement}
    </div>
  );
}

/** The part of a page that holds what was seen; scrolled by keyboard when it overflows. */
export function Evidence({ children }: { children: ReactNode }) {
  return (
    <div className="evidence" tabIndex={0} role="region" aria-label="Evidence">
      {children}
    </div>
  );
}
