'use client';

import { createContext, use, useRef, type ReactNode } from 'react';

const ReadAt = createContext(0);

/** Tells the forms of a page when it was read, so that none saves over what others changed since. */
export function PageReadAt({ at, children }: { at: number; children: ReactNode }) {
  return <ReadAt value={at}>{children}</ReadAt>;
}

/**
 * What a form knew when it was filled in. The page may be read again while a person types; what the form shows stays that of
 * its first reading until it is begun anew.
 */
export function useSeen() {
  const readAt = use(ReadAt);
  const seen = useRef<{ readonly at: number; readonly own: readonly string[] }>({ at: readAt, own: [] });
  return {
    /** Puts what the form knew beside its fields. */
    tell(data: FormData) {
      // A form outside a page knows nothing of when it was read.
      if (seen.current.at === 0) return;
      data.set('~read', String(seen.current.at));
      for (const step of seen.current.own) data.append('~own', step);
    },
    /** The form made a step itself. */
    made(step: string | undefined) {
      if (step) seen.current = { ...seen.current, own: [...seen.current.own, step].slice(-50) };
    },
  };
}
