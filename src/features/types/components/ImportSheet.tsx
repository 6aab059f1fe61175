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
import type { ImportPreview } from '../views';

type Answer = { ok: true; preview: ImportPreview } | Extract<FormOutcome, { ok: false }>;
type Stage = 'idle' | 'reading' | 'writing';

const ACTIONS = { add: 'new', change: 'changes', same: 'stays' } as const;

/** Brings a list of types in: what it would do first, then the doing, both to be stopped while they run. */
export function ImportSheet() {
  const router = useRouter();
  const notify = useNotice();
  const hydrated = useHydrated();
  const [file, setFile] = useState<File>();
  const [preview, setPreview] = useState<ImportPreview>();
  const [stage, setStage] = useState<Stage>('idle');
  const [refusal, setRefusal] = useState('');
  const stopper = useRef<AbortController>(undefined);

  async function ask(chosen: File | undefined) {
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
    router.push('/types');
  }

  async function send<T extends Answer | FormOutcome>(
    chosen: File,
    mode: string,
    during: Stage,
  ): Promise<T | undefined> {
    stopper.current = new AbortController();
    setStage(during);
    const answer = await sendBytes<T>(`/types/import?mode=${mode}`, chosen, stopper.current.signal);
    setStage('idle');
    if (stopper.current.signal.aborted) setRefusal('You stopped it; nothing was written.');
    else if (!answer) setRefusal('The server did not answer; nothing was written. Try again.');
    else if (!answer.ok) setRefusal(answer.problems.map(({ message }) => message).join(' '));
    return answer;
  }

  return (
    <Halves
      judgement={
        <ImportJudgement
          preview={preview}
          stage={stage}
          onApply={() => void apply()}
          onStop={() => stopper.current?.abort()}
        />
      }
    >
      <p className="mb-2 max-w-[640px] text-[13.5px]">
        CSV with a heading: <span className="font-mono">kind, name</span>, then what you have of{' '}
        <span className="font-mono">aliases, technology, package, note, source</span> and one column a rating, such as{' '}
        <span className="font-mono">vds</span>. A cell is a value, with its source and page if you like:{' '}
        <span className="font-mono">650 V; datasheet p. 3</span>. Or JSON of the format{' '}
        <span className="font-mono">zorvek.types/1</span>.
      </p>
      <input
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label="List of types"
        disabled={!hydrated || stage !== 'idle'}
        onChange={(event) => void ask(event.target.files?.[0])}
      />
      {refusal && (
        <p role="alert" className="mt-2 text-[13px] text-stop">
          {refusal}
        </p>
      )}
      {preview && <PreviewTables preview={preview} />}
    </Halves>
  );
}

function ImportJudgement({
  preview,
  stage,
  onApply,
  onStop,
}: {
  preview: ImportPreview | undefined;
  stage: Stage;
  onApply: () => void;
  onStop: () => void;
}) {
  const useful = preview ? preview.added + preview.changed : 0;
  return (
    <Judgement>
      <Claim label="What the file would do">
        {stage === 'reading'
          ? 'Reading the file …'
          : stage === 'writing'
            ? 'Writing …'
            : preview
              ? `${preview.added} new, ${preview.changed} changed, ${preview.same} stay, ${preview.refusedCount} refused`
              : 'Choose a file'}
      </Claim>
      {stage !== 'idle' && (
        <div role="status">
          <progress className="w-full" aria-label="Working" />
          <button type="button" className="btn mt-2" onClick={onStop}>
            Stop
          </button>
        </div>
      )}
      {preview && stage === 'idle' && (
        <Next
          actions={
            useful > 0 ? (
              <button type="button" className="btn" data-tone="next" onClick={onApply}>
                Take {useful} in
              </button>
            ) : undefined
          }
        >
          {useful > 0
            ? 'Look the refused lines over, then take the rest in. It is one step, and can be taken back.'
            : 'Nothing in the file would change anything.'}
        </Next>
      )}
      <Caution>
        A stronger source never gives way to a weaker one: what you read in a datasheet stays when a list says
        otherwise.
      </Caution>
    </Judgement>
  );
}

function PreviewTables({ preview }: { preview: ImportPreview }) {
  return (
    <>
      {preview.refused.length > 0 && (
        <section className="mt-4">
          <h2 className="label mb-1">
            Refused{preview.refusedCount > preview.refused.length ? `, the first ${preview.refused.length}` : ''}
          </h2>
          <table className="rows plain" aria-label="Refused lines">
            <thead>
              <tr>
                <th>line</th>
                <th>what</th>
                <th>why</th>
              </tr>
            </thead>
            <tbody>
              {preview.refused.map(({ line, what, why }) => (
                <tr key={`${line} ${what}`}>
                  <td className="q">{line}</td>
                  <td className="font-mono">{what}</td>
                  <td className="text-stop">{why}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      {preview.rows.length > 0 && (
        <section className="mt-4">
          <h2 className="label mb-1">
            Taken in{preview.more > 0 ? `, the first ${preview.rows.length}; ${preview.more} more are like them` : ''}
          </h2>
          <table className="rows plain" aria-label="Lines that are taken in">
            <thead>
              <tr>
                <th>line</th>
                <th>type</th>
                <th>it</th>
                <th>what changes</th>
              </tr>
            </thead>
            <tbody>
              {preview.rows.map(({ line, what, action, says }) => (
                <tr key={line}>
                  <td className="q">{line}</td>
                  <td className="font-mono">{what}</td>
                  <td>{ACTIONS[action]}</td>
                  <td className="text-ink-2">{says}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
    </>
  );
}
