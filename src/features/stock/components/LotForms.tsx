'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { moveToBinAction, takePiecesAction } from '../actions';

/** Takes pieces out for something that is no build. */
export function TakePiecesForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={takePiecesAction.bind(null, code)}
      label="Take out"
      className="grid grid-cols-[70px_1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="quantity" label="pieces" defaultValue="1" mono />
      <TextField name="note" label="for what" placeholder="repair of the lathe" />
      <div className="pt-[21px]">
        <SubmitButton>Take out</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Puts the lot into another bin. */
export function MoveForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={moveToBinAction.bind(null, code)}
      label="Move"
      className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="bin" label="to bin" placeholder="C2-5" mono />
      <div className="pt-[21px]">
        <SubmitButton>Move it</SubmitButton>
      </div>
    </ActionForm>
  );
}
