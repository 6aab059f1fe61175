'use client';

import { ConfirmButton } from '../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../ui/form/ActionForm';
import { SubmitButton, TextArea, TextField } from '../../ui/form/fields';
import type { NeedBegun } from './begun';
import { addNeedAction, movePartsAction, startBuildAction, removeNeedAction } from './actions';

/** Begins a build. */
export function BuildForm() {
  return (
    <ActionForm action={startBuildAction} label="New build" className="grid max-w-[560px] gap-1.5">
      <TextField name="title" label="what it will be" placeholder="Pump supply, 12 V 6 A" />
      <TextArea name="note" label="a note" rows={3} />
      <div>
        <SubmitButton tone="next">Write it down</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** A line that stock must fill. */
export function NeedForm({ code, begun }: { code: string; begun?: NeedBegun }) {
  return (
    <ActionForm
      action={addNeedAction.bind(null, code)}
      label="New need"
      className="mt-6 grid max-w-[760px] grid-cols-[1fr_1.8fr_60px_auto] items-start gap-x-2.5 border-t border-rule pt-2.5 max-[620px]:grid-cols-2"
      clearAfter
    >
      <h2 className="label col-span-full mb-1">Another need</h2>
      <TextField name="role" label="what it is for" placeholder="switch" defaultValue={begun?.role ?? ''} />
      <TextField
        name="filter"
        label="what it must be"
        defaultValue={begun?.need ?? ''}
        placeholder="nmos 100V 10A, or nmos for 57V 2.6A 100kHz"
        mono
      />
      <TextField name="quantity" label="pieces" defaultValue="1" mono />
      <div className="pt-[21px]">
        <SubmitButton>Add it</SubmitButton>
      </div>
    </ActionForm>
  );
}

const STEP_LABEL = { reserve: 'Set aside', release: 'give back', use: 'Build in' } as const;

/** One step of a lot's pieces towards a need. */
export function PortionForm({
  needId,
  lot,
  step,
  quantity,
}: {
  needId: string;
  lot: string;
  step: keyof typeof STEP_LABEL;
  quantity: number;
}) {
  return (
    <ActionForm
      action={movePartsAction.bind(null, { needId, step })}
      label={`${STEP_LABEL[step]} ${lot}`}
      className="inline"
    >
      <input type="hidden" name="lot" value={lot} />
      <input type="hidden" name="quantity" value={quantity} />
      <SubmitButton {...(step === 'release' ? { tone: 'quiet' as const } : {})}>
        {STEP_LABEL[step]} {quantity}
      </SubmitButton>
    </ActionForm>
  );
}

/** Takes a need off a build. */
export function DeleteNeed({ code, needId, role }: { code: string; needId: string; role: string }) {
  return (
    <ConfirmButton
      action={() => removeNeedAction(code, needId)}
      title={`Delete the need for ${role}?`}
      detail="Nothing is set aside for it. It has to be written down again if you want it back."
      confirm="Delete it"
    >
      delete
    </ConfirmButton>
  );
}
