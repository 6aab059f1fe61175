'use client';

import { Fragment, useId } from 'react';
import { ActionButton } from '../../ui/feedback/ActionButton';
import { ActionForm } from '../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../ui/form/fields';
import { checkMeterAction, removeMeterAction, keepMeterAction } from './actions';
import type { MetersView } from './view.server';

/** The shop's meters with what their sheets promise: verdicts near a limit rest on it. */
export function MeterList({ view }: { view: MetersView }) {
  const listId = useId();
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
      <ActionForm
        action={checkMeterAction}
        label="Check a meter"
        className="mt-4 grid grid-cols-4 items-start gap-x-3 border-t border-rule pt-2.5 max-[620px]:grid-cols-2"
        clearAfter
      >
        <h3 id="check-meter" className="col-span-full text-[14px] font-semibold">
          Check a meter with two known parts
        </h3>
        <p className="col-span-full mb-1 text-[12.5px] text-ink-2">
          No sheet at hand? Measure a small and a large part whose value you know, like 0R1 1% and 1R 1% for an ESR
          tester, and type every digit that the meter shows. 1 % is taken where no tolerance is written.
        </p>
        <TextField name="name" label="called" placeholder="my ESR tester" list={listId} className="col-span-2" />
        <SelectField
          name="quantity"
          label="reads"
          defaultValue="esr"
          options={view.quantities.map(({ name, label }) => ({ value: name, label }))}
          className="col-span-2"
        />
        {[0, 1].map((place) => (
          <Fragment key={place}>
            <TextField
              name={`known[${place}]`}
              label={place === 0 ? 'small part' : 'large part'}
              placeholder={place === 0 ? '0R1 1%' : '1R 1%'}
              mono
            />
            <TextField
              name={`reads[${place}]`}
              label="the meter shows"
              placeholder={place === 0 ? '0R12' : '1R04'}
              mono
            />
          </Fragment>
        ))}
        <div className="col-span-full">
          <SubmitButton>Keep what they say</SubmitButton>
        </div>
        <datalist id={listId}>
          {view.meters.map(({ name }) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </ActionForm>
    </section>
  );
}
