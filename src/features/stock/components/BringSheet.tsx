'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { useNotice } from '../../../ui/feedback/Notices';
import { sendBytes } from '../../../ui/form/sendBytes';
import { useHydrated } from '../../../ui/form/useHydrated';
import type { FormOutcome } from '../../../ui/form/outcome';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next } from '../../../ui/judgement/parts';
import type { StockPreview } from '../storeViews';

type Answer = { ok: true; preview: StockPreview } | Extract<FormOutcome, { ok: false }>;
type Stage = 'idle' | 'reading' | 'writing';

/** Brings a list of lots in: what it would do first, then the doing, both to be stopped while they run. */
export function BringSheet() {
  const router = useRouter();
  const notify = useNotice();
  const hydrated = useHydrated();
  const [file, setFile] = useState<File>();
  const [preview, setPreview] = useState<StockPreview>();
  const [stage, setStage] = useState<Stage>('idle');
  const [refusal, setRefusal] = useState('');
  const stopper = useRef<AbortController>(undefined);

  async function send<T extends Answer | FormOutcome>(
    chosen: File,
    mode: string,
    during: Stage,
  ): Promise<T | undefined> {
    stopper.current = new AbortController();
    setStage(during);
    const answer = await sendBytes<T>(`/stock/import?mode=${mode}`, chosen, stopper.current.signal);
    setStage('idle');
    if (stopper.current.signal.aborted) setRefusal('You stopped it; nothing was written.');
    else if (!answer) setRefusal('The server did not answer; nothing was written. Try again.');
    else if (!answer.ok) setRefusal(answer.problems.map(({ message }) => message).join(' '));
    return answer;
  }

  async function choose(chosen: File | undefined) {
    setFile(chosen);
    setPreview(undefined);
    setRefusal('');
    if (!chosen) return;
    const answer = await send<Answer>(chosen, 'preview', 'reading');
    if (answer?.ok) setPreview(answer.preview);
  }

  async function apply() {
    if (!file) return;
    const outcome = await send<FormOutcome>(file, 'apply', 'writing');
    if (!outcome?.ok) return;
    notify({ says: outcome.says ?? 'Taken in.', ...(outcome.undo ? { undo: outcome.undo } : {}) });
    router.push('/stock');
  }

  const says = {
    reading: 'Reading the file …',
    writing: 'Writing …',
    idle: preview
      ? `${preview.lots} lots, ${preview.pieces} pieces, ${preview.refusedCount} rows refused`
      : 'Choose a file',
  }[stage];
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label="What the file would bring">{says}</Claim>
          {stage !== 'idle' && (
            <div role="status">
              <progress className="w-full" aria-label="Working" />
              <button type="button" className="btn mt-2" onClick={() => stopper.current?.abort()}>
                Stop
              </button>
            </div>
          )}
          {preview && stage === 'idle' && (
            <Next
              actions={
                preview.lots > 0 ? (
                  <button type="button" className="btn" data-tone="next" onClick={() => void apply()}>
                    Take {preview.lots} in
                  </button>
                ) : undefined
              }
            >
              {preview.lots > 0
                ? 'Look the refused rows over, then take the rest in. It is one step, and can be taken back.'
                : 'No row of the file can be taken in.'}
            </Next>
          )}
          <Caution>What a list says of a part is no measurement: test it before it carries mains voltage.</Caution>
        </Judgement>
      }
    >
      <p className="mb-2 max-w-[640px] text-[13.5px]">
        CSV with a heading: <span className="font-mono">kind, pieces, bin</span>, then what you have of{' '}
        <span className="font-mono">code, subtype, technology, marking, package, grade, limits, note</span> and one
        column a rating, such as <span className="font-mono">vds</span>. A cell is a value, with its source if you like:{' '}
        <span className="font-mono">650 V; datasheet</span>. Or JSON of the format{' '}
        <span className="font-mono">zorvek.stock/1</span>, as Stock writes it.
      </p>
      <input
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label="List of lots"
        disabled={!hydrated || stage !== 'idle'}
        onChange={(event) => void choose(event.target.files?.[0])}
      />
      {refusal && (
        <p role="alert" className="mt-2 text-[13px] text-stop">
          {refusal}
        </p>
      )}
      {preview && <Preview preview={preview} />}
    </Halves>
  );
}

function Preview({ preview }: { preview: StockPreview }) {
  return (
    <>
      {preview.refused.length > 0 && (
        <section className="mt-4">
          <h2 className="label mb-1">
            Refused{preview.refusedCount > preview.refused.length ? `, the first ${preview.refused.length}` : ''}
          </h2>
          <Rows
            label="Refused rows"
            rows={preview.refused.map(({ line, what, why }) => ({ line, what, says: why, tone: 'text-stop' }))}
          />
        </section>
      )}
      {preview.rows.length > 0 && (
        <section className="mt-4">
          <h2 className="label mb-1">
            Taken in{preview.lots > preview.rows.length ? `, the first ${preview.rows.length} of ${preview.lots}` : ''}
          </h2>
          <Rows label="Rows that are taken in" rows={preview.rows.map((row) => ({ ...row, tone: 'text-ink-2' }))} />
        </section>
      )}
    </>
  );
}

function Rows({
  label,
  rows,
}: {
  label: string;
  rows: readonly { line: number; what: string; says: string; tone: string }[];
}) {
  return (
    <table className="rows plain" aria-label={label}>
      <thead>
        <tr>
          <th>line</th>
          <th>what</th>
          <th>it</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ line, what, says, tone }) => (
          <tr key={`${line} ${what}`}>
            <td className="q">{line}</td>
            <td className="font-mono">{what}</td>
            <td className={tone}>{says}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
