'use client';

import { useEffect, useState } from 'react';
import { DAMAGE_NAMES, DAMAGES, METHODS, SEAM_NAMES, SEAMS } from '../../../core/opening';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { CorrectForm } from '../../../ui/form/CorrectForm';
import { QuantityField, SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import {
  addOpeningStepAction,
  correctOpeningStepAction,
  noteReassemblyAction,
  startClockAction,
  stopClockAction,
  removeOpeningStepAction,
} from './actions';
import type { StepTexts } from './view.server';

const SEAM_CHOICES = SEAM_NAMES.map((seam) => ({ value: seam, label: SEAMS[seam].label }));
const METHOD_CHOICES = [
  { value: '', label: 'by hand' },
  ...METHODS.map((method) => ({ value: method, label: method })),
];
const DAMAGE_CHOICES = DAMAGE_NAMES.map((damage) => ({ value: damage, label: DAMAGES[damage] }));

/** The clock of the work: it runs on the server, so that it goes on while the page is closed. */
export function WorkClock({ code, clock }: { code: string; clock: { doneMs: number; runningSince: number | null } }) {
  const { doneMs, runningSince } = clock;
  const [now, setNow] = useState<number>();
  useEffect(() => {
    if (runningSince === null) return;
    const tick = () => setNow(Date.now());
    const timer = window.setInterval(tick, 1000);
    const frame = window.requestAnimationFrame(tick);
    return () => {
      window.clearInterval(timer);
      window.cancelAnimationFrame(frame);
    };
  }, [runningSince]);
  const running = runningSince === null || now === undefined ? 0 : Math.max(0, now - runningSince);
  const seconds = Math.floor((doneMs + running) / 1000);
  return (
    <div className="mb-4 flex items-baseline gap-4">
      <span role="timer" aria-label="Time spent opening it" className="q text-[34px] leading-none tracking-[-0.03em]">
        {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
      </span>
      {runningSince === null ? (
        <ActionButton action={() => startClockAction({ code, station: 'open' })}>
          {doneMs > 0 ? 'Go on' : 'Start the clock'}
        </ActionButton>
      ) : (
        <ActionButton action={() => stopClockAction({ code, station: 'open' })}>Stop the clock</ActionButton>
      )}
      <span className="text-[12.5px] text-ink-2">it runs on when the page is closed</span>
    </div>
  );
}

/** One step of taking the case apart. */
export function StepForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={addOpeningStepAction.bind(null, code)}
      label="Step of the opening"
      className="mb-3 grid max-w-[820px] grid-cols-[1fr_1.2fr_0.6fr_1fr_0.8fr] items-start gap-x-2.5 max-[620px]:grid-cols-2"
      clearAfter
    >
      <StepFields />
      <div className="col-span-2 pt-[21px]">
        <SubmitButton tone="next">Add the step</SubmitButton>
      </div>
    </ActionForm>
  );
}

function StepFields({ typed }: { typed?: StepTexts }) {
  return (
    <>
      <SelectField name="seam" label="what holds it" defaultValue={typed?.seam ?? 'screws'} options={SEAM_CHOICES} />
      <TextField name="place" label="where it hides" placeholder="under the label" defaultValue={typed?.place} />
      <TextField name="count" label="how many" placeholder="4" defaultValue={typed?.count} mono />
      <TextField name="drive" label="drive and size" placeholder="TR9, 3 x 10" defaultValue={typed?.drive} mono />
      <SelectField name="damage" label="damage" defaultValue={typed?.damage ?? 'none'} options={DAMAGE_CHOICES} />
      <SelectField
        name="method"
        label="how it came apart"
        defaultValue={typed?.method ?? ''}
        options={METHOD_CHOICES}
      />
      <TextField
        name="kept"
        label="kept for putting together"
        placeholder="screws in a bag"
        defaultValue={typed?.kept}
      />
      <QuantityField name="minutes" label="took" unit="duration" placeholder="6min" defaultValue={typed?.minutes} />
    </>
  );
}

/** Puts a step right. */
export function CorrectStep({
  code,
  id,
  number,
  typed,
}: {
  code: string;
  id: string;
  number: number;
  typed: StepTexts;
}) {
  return (
    <CorrectForm
      label={`Correct step ${number}`}
      title={`Step ${number}`}
      action={correctOpeningStepAction.bind(null, { code, stepId: id })}
    >
      <StepFields typed={typed} />
    </CorrectForm>
  );
}

/** Takes a step off the list. */
export function DeleteStep({ code, id, number }: { code: string; id: string; number: number }) {
  return (
    <ActionButton tone="small" action={() => removeOpeningStepAction(code, id)} label={`Delete step ${number}`}>
      delete
    </ActionButton>
  );
}

/** How putting it together again went. */
export function ReassemblyForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={noteReassemblyAction.bind(null, code)}
      label="Put together again"
      className="mt-1 grid grid-cols-[1fr_1.2fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <SelectField
        name="result"
        label="put together again"
        defaultValue="closed"
        options={[
          { value: 'closed', label: 'it is closed' },
          { value: 'works', label: 'closed, and it works' },
          { value: 'loose', label: 'something is loose or left over' },
          { value: 'not-possible', label: 'it cannot be' },
        ]}
      />
      <TextField name="remark" label="remark" placeholder="one clip short" />
      <div className="pt-[21px]">
        <SubmitButton>Note it</SubmitButton>
      </div>
    </ActionForm>
  );
}
