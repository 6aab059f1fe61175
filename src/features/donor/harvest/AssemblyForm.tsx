'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { takeAssemblyAction } from './actions';

const KINDS = [
  { value: 'assembly', label: 'a board that works as it is' },
  { value: 'fan', label: 'fan' },
  { value: 'heat-sink', label: 'heat sink' },
  { value: 'connector', label: 'connectors' },
  { value: 'wire', label: 'wire' },
];

/** Takes a whole subassembly as one lot. */
export function AssemblyForm({ code, bin }: { code: string; bin: string }) {
  return (
    <details className="mt-6 max-w-[760px]">
      <summary className="cursor-pointer text-[13px] underline decoration-dotted">
        Take a subassembly: a filter board, a standby board, a fan, a sink, wire
      </summary>
      <ActionForm
        action={takeAssemblyAction.bind(null, code)}
        label="Take a subassembly"
        className="mt-2 grid grid-cols-6 items-start gap-x-3"
        clearAfter
      >
        <TextField
          name="name"
          label="what it is"
          placeholder="input filter board"
          className="col-span-3 max-[620px]:col-span-6"
        />
        <SelectField
          name="kind"
          label="kind"
          options={KINDS}
          defaultValue="assembly"
          className="col-span-3 max-[620px]:col-span-6"
        />
        <TextField name="holds" label="parts that go with it" placeholder="CX1, L1" mono className="col-span-3" />
        <TextField name="pieces" label="pieces" defaultValue="1" mono />
        <TextField name="bin" label="bin" defaultValue={bin} mono />
        <div className="pt-[21px]">
          <SubmitButton>Take it</SubmitButton>
        </div>
      </ActionForm>
    </details>
  );
}
