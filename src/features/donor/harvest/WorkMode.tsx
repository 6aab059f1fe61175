'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useId, useState } from 'react';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { endRunAction, startRunAction, stepRunAction } from './actions';
import type { HarvestView } from './view.server';

/** Starts the clock for the minutes that were planned. */
export function StartRun({ code, view }: { code: string; view: HarvestView }) {
  const listId = useId();
  return (
    <ActionForm
      action={startRunAction.bind(null, code)}
      label="Start working"
      className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
    >
      <input type="hidden" name="minutes" value={view.minutes} />
      <TextField name="bin" label="parts go into bin" defaultValue={view.bin} placeholder="C2-5" mono list={listId} />
      <div className="pt-[21px]">
        <SubmitButton tone="next">Start the clock</SubmitButton>
      </div>
      <BinList id={listId} bins={view.bins} />
    </ActionForm>
  );
}

/** How often the plan is made again by itself. */
const REPLAN_MS = 60_000;

/** One job at a time, large enough to read from the bench; one key says what came of it. */
export function WorkMode({ code, view }: { code: string; view: HarvestView }) {
  const { run } = view;
  const listId = useId();
  const router = useRouter();
  // Minutes pass while hands are busy: what still fits is worked out again.
  useEffect(() => {
    const timer = setInterval(() => router.refresh(), REPLAN_MS);
    return () => clearInterval(timer);
  }, [router]);
  if (!run) return null;
  const { inHand } = run;
  return (
    <section aria-label="Present job" className="mb-5 border-[1.5px] border-ink bg-lift px-5 py-4">
      {inHand ? (
        <>
          <p className="flex flex-wrap items-baseline justify-between gap-x-6 text-[13px] text-ink-2">
            <span>
              <Clock sinceMs={inHand.sinceMs} /> of about {inHand.minutes}
            </span>
            <TimeLeft endsMs={run.endsMs} />
          </p>
          <p className="mt-1 text-[34px] leading-tight font-semibold tracking-[-0.02em]">{inHand.title}</p>
          {inHand.why && <p className="mt-1 text-[14px] text-ink-2">{inHand.why}</p>}
          <p className="mt-2 max-w-[60ch] text-[16px] leading-snug">{inHand.tip}</p>
          {inHand.hazards.length > 0 && (
            <ul className="mt-2 border-l-4 border-stop bg-stop-wash px-3 py-1.5 text-[13.5px]">
              {inHand.hazards.map((hazard) => (
                <li key={hazard}>{hazard}</li>
              ))}
            </ul>
          )}
          <ActionForm
            key={inHand.id}
            action={stepRunAction.bind(null, code)}
            label="What came of it"
            className="mt-3 flex flex-wrap items-start gap-x-3 gap-y-2"
          >
            <input type="hidden" name="job" value={inHand.id} />
            <TextField name="bin" label="into bin" defaultValue={run.bin} mono list={listId} className="w-28" />
            <BinList id={listId} bins={view.bins} />
            <span className="flex flex-wrap gap-2 pt-[21px]">
              <Outcome id="job-done" value="done" sign="t" tone="next">
                {inHand.isSetup ? 'done' : 'taken'}
              </Outcome>
              {!inHand.isSetup && (
                <Outcome id="job-broke" value="broke" sign="x">
                  broke
                </Outcome>
              )}
              <Outcome id="job-skipped" value="skipped" sign="k">
                leave it
              </Outcome>
            </span>
          </ActionForm>
          <Shortcuts
            keys={[
              { key: 't', label: 'the job in hand is done', press: 'job-done' },
              { key: 'x', label: 'the part broke', press: 'job-broke' },
              { key: 'k', label: 'leave it for this time', press: 'job-skipped' },
            ]}
          />
        </>
      ) : (
        <p className="text-[20px] font-semibold">Nothing more fits into the time. Print the labels.</p>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-4 border-t border-rule pt-2.5 text-[13px]">
        <ActionButton action={() => endRunAction(code)}>End this run</ActionButton>
        {run.steps.length > 0 && (
          <span className="text-ink-2">
            {run.steps.map(({ title, outcome, took }) => `${title} ${outcome}, ${took}`).join(' · ')}
          </span>
        )}
      </div>
    </section>
  );
}

function Outcome({
  id,
  value,
  sign,
  tone,
  children,
}: {
  id: string;
  value: string;
  sign: string;
  tone?: 'next';
  children: string;
}) {
  return (
    <button id={id} type="submit" name="outcome" value={value} className="btn" data-tone={tone}>
      <kbd>{sign}</kbd> {children}
    </button>
  );
}

function BinList({ id, bins }: { id: string; bins: readonly string[] }) {
  return (
    <datalist id={id}>
      {bins.map((bin) => (
        <option key={bin} value={bin} />
      ))}
    </datalist>
  );
}

/** The present moment, once a second; nothing until the page has come alive. */
function useNow(): number | undefined {
  const [now, setNow] = useState<number>();
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

function Clock({ sinceMs }: { sinceMs: number }) {
  const now = useNow();
  const seconds = now === undefined ? 0 : Math.max(0, Math.floor((now - sinceMs) / 1000));
  return (
    <span className="q text-ink" role="timer">
      {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
    </span>
  );
}

function TimeLeft({ endsMs }: { endsMs: number }) {
  const now = useNow();
  if (now === undefined) return null;
  const minutes = Math.ceil((endsMs - now) / 60000);
  return <span>{minutes > 0 ? `${minutes} min left` : 'the time is up'}</span>;
}
