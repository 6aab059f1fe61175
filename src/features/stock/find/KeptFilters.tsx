'use client';

import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { removeFilterAction, saveFilterAction } from './actions';

/** Keeps the present question under a name. */
export function KeepFilter({ find }: { find: string }) {
  return (
    <details>
      <summary className="cursor-pointer text-ink-2 underline decoration-dotted">save this search</summary>
      <ActionForm action={saveFilterAction} label="Save this search" className="mt-1 flex items-start gap-2">
        <input type="hidden" name="filter" value={find} />
        <TextField name="name" label="under the name" placeholder="switches for 230 V" />
        <div className="pt-[21px]">
          <SubmitButton>Save it</SubmitButton>
        </div>
      </ActionForm>
    </details>
  );
}

/** Deletes a kept question. */
export function DropFilter({ id, name }: { id: string; name: string }) {
  return (
    <ActionButton action={() => removeFilterAction(id)} tone="small" label={`delete ${name}`}>
      delete
    </ActionButton>
  );
}
