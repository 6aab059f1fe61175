'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { useNotice } from '../../../ui/feedback/Notices';
import { sendBytes } from '../../../ui/form/sendBytes';
import { useHydrated } from '../../../ui/form/useHydrated';
import type { FormOutcome } from '../../../ui/form/outcome';

/** Attaches a PDF to a type. */
export function DatasheetUpload({ id, name }: { id: string; name: string }) {
  const router = useRouter();
  const notify = useNotice();
  const hydrated = useHydrated();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState('');

  async function send(file: File | undefined) {
    if (!file) return;
    setBusy(true);
    const outcome = (await sendBytes<FormOutcome>(
      `/types/${id}/datasheet?name=${encodeURIComponent(file.name)}`,
      file,
    )) ?? { ok: false, problems: [{ message: 'The server did not answer; try again.' }] };
    setBusy(false);
    if (input.current) input.current.value = '';
    setRefusal(outcome.ok ? '' : outcome.problems.map(({ message }) => message).join(' '));
    if (!outcome.ok) return;
    notify({ says: outcome.says ?? 'Attached.', ...(outcome.undo ? { undo: outcome.undo } : {}) });
    router.refresh();
  }

  return (
    <div className="text-[13px]">
      <input
        ref={input}
        type="file"
        accept="application/pdf"
        disabled={!hydrated || busy}
        aria-label={`Datasheet of ${name}`}
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
