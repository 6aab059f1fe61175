'use client';

import type { ReactNode } from 'react';
import { openHelp } from './openHelp';

/** Opens the help of the screen by hand or finger; on a keyboard `?` does. */
export function HelpButton({ children }: { children: ReactNode }) {
  return (
    <button
      type="button"
      className="cursor-pointer underline decoration-dotted underline-offset-3 max-[899px]:min-h-11"
      onClick={openHelp}
    >
      {children} <kbd className="max-[899px]:hidden">?</kbd>
    </button>
  );
}
