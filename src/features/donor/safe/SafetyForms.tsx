'use client';

import { HOLD_SOURCE_NAMES, HOLD_SOURCES, STORE_ROLE_NAMES, STORE_ROLES } from '../../../core/safety';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { CorrectForm } from '../../../ui/form/CorrectForm';
import { QuantityField, SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import {
  addStoreAction,
  correctStoreAction,
  listPartAsStoreAction,
  noteMeterCheckAction,
  removeStoreAction,
} from './actions';
import { notePowerAction } from '../shared/actions';
import type { StoreTexts } from './view.server';

const ROLES = [
  { value: '', label: 'by its size' },
  ...STORE_ROLE_NAMES.map((role) => ({ value: role, label: STORE_ROLES[role].label })),
];
const SOURCES = HOLD_SOURCE_NAMES.map((source) => ({ value: source, label: HOLD_SOURCES[source] }));

/** A store that is not listed yet: one capacitor, several, or a battery. */
export function StoreForm({ code, first }: { code: string; first: boolean }) {
  return (
    <ActionForm
      action={addStoreAction.bind(null, code)}
      label="New store"
      className="grid max-w-[820px] grid-cols-[0.7fr_1.2fr_1.6fr_0.8fr_0.8fr] items-start gap-x-2.5 border-t border-rule pt-2.5 max-[620px]:grid-cols-2"
      clearAfter
    >
      <h2 className="label col-span-full mb-1">{first ? 'A store of charge' : 'Another store'}</h2>
      <StoreFields />
      <div className="col-span-2 pt-[21px]">
        <SubmitButton>List it</SubmitButton>
      </div>
    </ActionForm>
  );
}

function StoreFields({ typed }: { typed?: StoreTexts }) {
  return (
    <>
      <TextField name="name" label="name" placeholder="C3" defaultValue={typed?.name} mono />
      <SelectField name="role" label="what it is" defaultValue={typed?.role ?? ''} options={ROLES} />
      <TextField
        name="capacitance"
        label="capacitance, or several"
        placeholder="82u, 2 x 470u 200V series, or ?"
        defaultValue={typed?.capacitance}
        mono
      />
      <QuantityField
        name="ratedVoltage"
        label="rated"
        unit="volt"
        placeholder="400V"
        defaultValue={typed?.ratedVoltage}
        wants="nothing"
      />
      <QuantityField name="bleed" label="bleed path" unit="ohm" placeholder="470k" defaultValue={typed?.bleed} />
      <SelectField
        name="holdSource"
        label="what it may hold comes from"
        defaultValue={typed?.holdSource ?? 'auto'}
        options={SOURCES}
        className="col-span-2"
      />
      <QuantityField
        name="holdVoltage"
        label="my own figure"
        unit="volt"
        placeholder="620V"
        defaultValue={typed?.holdVoltage}
        wants="nothing"
      />
    </>
  );
}

/** Puts a store right; its readings stay. */
export function CorrectStore({ code, typed }: { code: string; typed: StoreTexts }) {
  return (
    <CorrectForm
      label={`Correct ${typed.name}`}
      title={`${typed.name} as it is`}
      action={correctStoreAction.bind(null, { code, name: typed.name })}
    >
      <StoreFields typed={typed} />
    </CorrectForm>
  );
}

/** Capacitors of the parts log that could be stores. */
export function StoreOffers({ code, offers }: { code: string; offers: readonly { ref: string; message: string }[] }) {
  if (offers.length === 0) return null;
  return (
    <section
      aria-label="From the parts list"
      className="mb-3 flex max-w-[820px] flex-wrap items-center gap-2 text-[13px]"
    >
      <span className="text-ink-2">On the parts list, not listed as stores:</span>
      {offers.map(({ ref, message }) => (
        <ActionButton key={ref} action={() => listPartAsStoreAction({ code, ref })} label={`List ${ref} as a store`}>
          {ref}, {message}
        </ActionButton>
      ))}
    </section>
  );
}

/** Whether power is on the unit, and the way to say so. */
export function PowerRow({ code, power }: { code: string; power: { on: boolean; message: string } }) {
  return (
    <p
      className={`mb-3 flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px] ${power.on ? 'border-l-4 border-stop bg-stop-wash px-3 py-1.5' : 'text-ink-2'}`}
    >
      <span>{power.message}</span>
      {power.on ? (
        <ActionButton action={() => notePowerAction(code, false)}>It is unplugged now</ActionButton>
      ) : (
        <ActionButton tone="small" action={() => notePowerAction(code, true)}>
          it is plugged in now
        </ActionButton>
      )}
    </p>
  );
}

/** Whether the meter was shown to work, and the way to say so. */
export function MeterCheckRow({ code, checked }: { code: string; checked: string | null }) {
  return (
    <p className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px] text-ink-2">
      <span>
        {checked === null
          ? 'The meter was not checked yet: read a known source, such as a fresh battery, before and after.'
          : `Meter checked on a known source at ${checked}.`}
      </span>
      <ActionButton tone="small" action={() => noteMeterCheckAction(code)}>
        {checked === null ? 'meter checked before and after' : 'checked again'}
      </ActionButton>
    </p>
  );
}

/** Takes a store off the list. */
export function DeleteStore({ code, name }: { code: string; name: string }) {
  return (
    <div>
      <ConfirmButton
        action={() => removeStoreAction(code, name)}
        title={`Delete ${name} from the stores?`}
        detail="Its readings go with it and no warning will name it. The step can be undone."
        confirm="Delete it"
      >
        delete {name}
      </ConfirmButton>
    </div>
  );
}
