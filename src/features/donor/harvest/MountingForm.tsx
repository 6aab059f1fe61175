'use client';

import { MOUNTING_NAMES, MOUNTINGS, type Mounting } from '../../../core/harvest';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { Section } from '../../../ui/judgement/parts';
import { mountPartAction } from './actions';

const WISHES = [
  { value: '', label: 'as the plan has it' },
  { value: 'take', label: 'take it' },
  { value: 'leave', label: 'leave it' },
];

/** How a part is held, what stands before it, and whether the person wants it: the plan goes by it. */
export function MountingForm({
  code,
  refName,
  mounting,
  wish,
}: {
  code: string;
  refName: string;
  mounting: Mounting;
  wish: 'take' | 'leave' | null;
}) {
  return (
    <Section label="How it is held">
      <ActionForm
        action={mountPartAction.bind(null, { code, ref: refName })}
        label={`Mounting of ${refName}`}
        className="grid grid-cols-3 items-start gap-x-2.5"
      >
        <div className="col-span-full flex flex-wrap gap-x-3.5">
          {MOUNTING_NAMES.map((name) => (
            <label key={name} className="flex min-h-[28px] items-center gap-1.5 text-[12.5px]">
              <input
                type="checkbox"
                name="ways[]"
                value={name}
                defaultChecked={mounting.ways.includes(name)}
                className="size-3.5 accent-ochre"
              />
              {MOUNTINGS[name].label}
            </label>
          ))}
        </div>
        <TextField name="sink" label="on heat sink" defaultValue={mounting.sink ?? ''} placeholder="HS1" mono />
        <TextField name="behind" label="behind" defaultValue={mounting.behind.join(', ')} placeholder="C3" mono />
        <SelectField name="wish" label="wish" options={WISHES} defaultValue={wish ?? ''} />
        <SubmitButton>Save it</SubmitButton>
      </ActionForm>
    </Section>
  );
}
