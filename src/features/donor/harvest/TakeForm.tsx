'use client';

import { useId } from 'react';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { takePartAction } from './actions';

/** Takes a part into a bin. */
export function TakeForm({ code, refName, bins }: { code: string; refName: string; bins: readonly string[] }) {
  const listId = useId();
  return (
    <section className="next">
      <h2 className="label mb-1">Next</h2>
      <p className="mb-2 text-[15.5px] leading-snug font-medium">
        Desolder {refName}, and put it where you will find it.
      </p>
      <ActionForm
        action={takePartAction.bind(null, code)}
        label={`Take ${refName}`}
        className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
      >
        <input type="hidden" name="ref" value={refName} />
        <TextField name="bin" label="bin" placeholder="C2-5" mono list={listId} />
        <div className="pt-[21px]">
          <SubmitButton tone="next">Take it</SubmitButton>
        </div>
        <datalist id={listId}>
          {bins.map((bin) => (
            <option key={bin} value={bin} />
          ))}
        </datalist>
      </ActionForm>
    </section>
  );
}
