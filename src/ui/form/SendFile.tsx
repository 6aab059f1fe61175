'use client';

import { useRef, useState } from 'react';
import { outcomeText, useCommand } from '../command/useCommand';
import type { FormOutcome } from './outcome';
import { sendBytes } from './sendBytes';
import { useHydrated } from './useHydrated';

/** Sends one file to a route, which answers like a form; what it says is told, and the page is read again. */
export function SendFile({
  url,
  accept,
  label,
}: {
  /** The file's name is added to it. */
  url: string;
  accept: string;
  label: string;
}) {
  const { run } = useCommand();
  const hydrated = useHydrated();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState('');

  async function send(file: File | undefined) {
    if (!file) return;
    setBusy(true);
    const outcome = await run(
      () => sendBytes<FormOutcome>(`${url}?name=${encodeURIComponent(file.name.slice(0, 200))}`, file),
      { refusal: 'shown' },
    );
    setBusy(false);
    if (input.current) input.current.value = '';
    setRefusal(outcome.ok ? '' : outcomeText(outcome));
  }

  return (
    <div className="text-[13px]">
      <input
        ref={input}
        type="file"
        accept={accept}
        disabled={!hydrated || busy}
        aria-label={label}
        onChange={(event) => void send(event.target.files?.[0])}
        className="max-w-full text-[12.5px]"
      />
      {busy && <p role="status">Sending …</p>}
      {refusal && (
        <p role="alert" className="text-stop">
          {refusal}
        </p>
      )}
    </div>
  );
}
