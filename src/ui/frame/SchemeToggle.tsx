'use client';

import { useState } from 'react';
import { SCHEMES, type Scheme } from './scheme';

const WORDS: Readonly<Record<Scheme, string>> = { auto: 'as system', light: 'light', dark: 'dark' };

/** Goes round the schemes and remembers the choice in a cookie, so that the next page comes in it at once. */
export function SchemeToggle({ initial }: { initial: Scheme }) {
  const [scheme, setScheme] = useState(initial);
  function turn() {
    const next = SCHEMES[(SCHEMES.indexOf(scheme) + 1) % SCHEMES.length] ?? 'auto';
    document.documentElement.dataset.scheme = next;
    document.cookie = `scheme=${next}; path=/; max-age=31536000; samesite=strict`;
    setScheme(next);
  }
  return (
    <button
      type="button"
      onClick={turn}
      className="min-h-9 pr-2 text-left text-[11.5px] leading-tight text-ink-2 hover:text-ink"
      aria-label={`Theme: ${WORDS[scheme]}. Change`}
    >
      theme:
      <br />
      {WORDS[scheme]}
    </button>
  );
}
