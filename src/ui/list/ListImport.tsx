'use client';

import { useRef, useState, type ReactNode } from 'react';
import { NO_ANSWER, outcomeText, useCommand } from '../command/useCommand';
import type { FormOutcome } from '../form/outcome';
import { sendLong } from '../form/sendBytes';
import { useHydrated } from '../form/useHydrated';
import { Halves } from '../frame/Halves';
import { Judgement } from '../judgement/Judgement';
import { Caution, Claim, Next } from '../judgement/parts';

/** What the preview of any list tells. */
export interface ListPreview {
  readonly refusedCount: number;
  readonly refused: readonly { readonly line: number; readonly what: string; readonly why: string }[];
}

type Answer<P> = { ok: true; preview: P } | Extract<FormOutcome, { ok: false }>;
type Stage = 'idle' | 'reading' | 'writing';

/** Brings a list in: what it would do first, then the doing; both tell how far they are, and can be stopped. */
export function ListImport<P extends ListPreview>(of: {
  /** The route that reads the list, and the page to go to when it was taken in. */
  url: string;
  goto: string;
  fileLabel: string;
  claimLabel: string;
  claim: (preview: P) => string;
  /** How many rows would be taken in. */
  useful: (preview: P) => number;
  useless: string;
  caution: string;
  /** What the file must be like. */
  children: ReactNode;
  /** The rows that would be taken in. */
  taken: (preview: P) => ReactNode;
  /** What a person may put right before the file is read again; `again` takes what is added to the address. */
  adjust?: (preview: P, again: (said: Readonly<Record<string, string>>) => void, isBusy: boolean) => ReactNode;
}) {
  const { run } = useCommand();
  const hydrated = useHydrated();
  const [file, setFile] = useState<File>();
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  const [preview, setPreview] = useState<P>();
  const [pasted, setPasted] = useState('');
  const [stage, setStage] = useState<Stage>('idle');
  const [share, setShare] = useState(0);
  const [refusal, setRefusal] = useState('');
  const stopper = useRef<AbortController>(undefined);

  async function send<T extends Answer<P> | FormOutcome>(
    chosen: File,
    mode: 'preview' | 'apply',
    during: Stage,
    told: Readonly<Record<string, string>>,
  ): Promise<T | undefined> {
    const { signal } = (stopper.current = new AbortController());
    setStage(during);
    setShare(0);
    setRefusal('');
    const answer = await sendLong<T>(`${of.url}?${new URLSearchParams({ ...told, mode }).toString()}`, chosen, {
      share: setShare,
      signal,
    });
    setStage('idle');
    if (signal.aborted) setRefusal('You stopped it; nothing was written.');
    else if (!answer) setRefusal(NO_ANSWER);
    else if (!answer.ok) setRefusal(outcomeText(answer));
    return signal.aborted ? undefined : answer;
  }

  async function choose(chosen: File | undefined) {
    setFile(chosen);
    setPreview(undefined);
    setRefusal('');
    if (!chosen) return;
    await look(chosen, {});
  }

  /** Reads the file with what was said of it. */
  async function look(chosen: File, told: Readonly<Record<string, string>>): Promise<void> {
    setSaid(told);
    const answer = await send<Answer<P>>(chosen, 'preview', 'reading', told);
    if (answer?.ok) setPreview(answer.preview);
  }

  async function apply() {
    if (!file) return;
    const outcome = await send<FormOutcome>(file, 'apply', 'writing', said);
    if (outcome?.ok) await run(() => Promise.resolve({ ...outcome, goto: of.goto }));
  }

  const useful = preview ? of.useful(preview) : 0;
  const claim = {
    reading: 'Reading the file …',
    writing: 'Writing …',
    idle: preview ? of.claim(preview) : 'Choose a file',
  }[stage];
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={of.claimLabel}>{claim}</Claim>
          {stage !== 'idle' && (
            <div role="status">
              <progress className="w-full" value={share} max={1} aria-label={claim} />
              <button type="button" className="btn mt-2" onClick={() => stopper.current?.abort()}>
                Stop
              </button>
            </div>
          )}
          {preview && stage === 'idle' && (
            <Next
              actions={
                useful > 0 ? (
                  <button type="button" className="btn" data-tone="next" onClick={() => void apply()}>
                    Take {useful} in
                  </button>
                ) : undefined
              }
            >
              {useful > 0
                ? 'Look the refused lines over, then take the rest in. It is one step, and can be undone.'
                : of.useless}
            </Next>
          )}
          <Caution>{of.caution}</Caution>
        </Judgement>
      }
    >
      <p className="mb-2 max-w-[640px] text-[13.5px]">{of.children}</p>
      <input
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label={of.fileLabel}
        disabled={!hydrated || stage !== 'idle'}
        onChange={(event) => void choose(event.target.files?.[0])}
      />
      <textarea
        aria-label="Rows pasted here"
        placeholder="or paste it here"
        rows={4}
        disabled={!hydrated || stage !== 'idle'}
        className="mt-2 block w-full max-w-[640px] rounded-[3px] border border-rule-2 bg-lift px-2 py-1.5 font-mono text-[12.5px] placeholder:text-ink-3"
        onChange={({ target: { value } }) => setPasted(value)}
        onPaste={({ currentTarget, clipboardData }) => {
          // What is pasted into an empty field is read at once.
          if (currentTarget.value.trim() === '') void choose(asFile(clipboardData.getData('text')));
        }}
      />
      {pasted.trim() !== '' && (
        <button
          type="button"
          className="btn mt-1.5"
          disabled={stage !== 'idle'}
          onClick={() => void choose(asFile(pasted))}
        >
          Read what is pasted
        </button>
      )}
      {refusal && (
        <p role="alert" className="mt-2 text-[13px] text-stop">
          {refusal}
        </p>
      )}
      {/* oxlint-disable-next-line react/refs -- what is handed on is called when a hand asks for it */}
      {preview && file && of.adjust?.(preview, (told) => void look(file, told), stage !== 'idle')}
      {preview && <Refused preview={preview} />}
      {preview && of.taken(preview)}
    </Halves>
  );
}

const asFile = (text: string) => new File([text], 'pasted.csv', { type: 'text/csv' });

function Refused({ preview: { refused, refusedCount } }: { preview: ListPreview }) {
  if (refused.length === 0) return null;
  return (
    <ImportRows
      heading={`Refused${refusedCount > refused.length ? `, the first ${refused.length}` : ''}`}
      label="Refused lines"
      columns={['line', 'what', 'why']}
      rows={refused.map(({ line, what, why }) => ({ key: `${line} ${what}`, cells: [line, what, why] }))}
      tone="text-stop"
    />
  );
}

/** Lines of a list under a heading: the line, what it is of, and what is said of it. */
export function ImportRows({
  heading,
  label,
  columns,
  rows,
  tone = 'text-ink-2',
}: {
  heading: string;
  label: string;
  columns: readonly string[];
  rows: readonly { readonly key: string; readonly cells: readonly (string | number)[] }[];
  tone?: string;
}) {
  return (
    <section className="mt-4">
      <h2 className="label mb-1">{heading}</h2>
      <table className="rows plain" aria-label={label}>
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column}>{column}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, cells }) => (
            <tr key={key}>
              {cells.map((cell, index) => (
                <td key={columns[index]} className={index === 0 ? 'q' : index === 1 ? 'font-mono' : tone}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
