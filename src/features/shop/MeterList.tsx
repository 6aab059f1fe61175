'use client';

import { ActionButton } from '../../ui/feedback/ActionButton';
import { ActionForm } from '../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../ui/form/fields';
import { removeMeterAction, keepMeterAction } from './actions';
import type { MetersView } from './view.server';

/** The shop's meters with what their sheets promise: verdicts near a limit rest on it. */
export function MeterList({ view }: { view: MetersView }) {
  return (
    <section aria-label="Meters of the shop" className="mt-6 max-w-[640px] border-t border-rule pt-3">
      <h2 className="text-[15px] font-semibold">How well the shop’s meters read</h2>
      <p className="mt-0.5 mb-2 text-[12.5px] text-ink-2">
        As the sheet of the meter has it: per cent of the reading, plus digits, plus a fixed part where there is one. A
        verdict near a limit says what this meter can tell.
      </p>
      {view.meters.length > 0 && (
        <ul className="dotted mb-3 text-[13px]">
          {view.meters.map(({ name, message }) => (
            <li key={name} className="flex items-baseline gap-3 py-1.5">
              <b className="font-semibold">{name}</b>
              <span className="min-w-0 flex-1 text-ink-2">{message || 'as a usual one'}</span>
              <ActionButton action={() => removeMeterAction(name)}>delete {name}</ActionButton>
            </li>
          ))}
        </ul>
      )}
      <ActionForm
        action={keepMeterAction}
        label="A meter"
        className="grid grid-cols-4 gap-x-3 max-[620px]:grid-cols-2"
        clearAfter
      >
        <TextField
          name="name"
          label="called"
          placeholder="ESR tester, blue"
          className="col-span-4 max-[620px]:col-span-2"
        />
        {view.quantities.map(({ name, label, usual }) => (
          <TextField key={name} name={name} label={label} placeholder={usual} mono />
        ))}
        <div className="col-span-full">
          <SubmitButton>Save this meter</SubmitButton>
        </div>
      </ActionForm>
    </section>
  );
}
