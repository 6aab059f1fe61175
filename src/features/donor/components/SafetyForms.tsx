'use client';

import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { QuantityField, SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { addStoreAction, readStoreAction, strikeStoreAction } from '../actions';

/** A reading of the store in hand. */
export function ReadingForm({ code, store }: { code: string; store: string }) {
  return (
    <ActionForm
      key={store}
      action={readStoreAction.bind(null, code)}
      label={`Reading of ${store}`}
      className="grid grid-cols-[1fr_1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <input type="hidden" name="store" value={store} />
      <QuantityField name="voltage" label="reading" unit="volt" placeholder="212V" />
      <QuantityField name="elapsed" label="at" unit="second" placeholder="now" />
      <div className="pt-[21px]">
        <SubmitButton tone="next">Record</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** A store that is not listed yet. */
export function StoreForm({ code, first }: { code: string; first: boolean }) {
  return (
    <ActionForm
      action={addStoreAction.bind(null, code)}
      label="New store"
      className="grid max-w-[760px] grid-cols-[1fr_1.3fr_1fr_1fr_1fr_auto] items-start gap-x-2.5 border-t border-rule pt-2.5 max-[620px]:grid-cols-2"
      clearAfter
    >
      <h2 className="label col-span-full mb-1">{first ? 'A store of charge' : 'Another store'}</h2>
      <TextField name="name" label="name" placeholder="C3" mono />
      <SelectField
        name="role"
        label="what it does"
        defaultValue=""
        options={[
          { value: '', label: 'by its size' },
          { value: 'bulk', label: 'mains reservoir' },
          { value: 'filter', label: 'X or Y filter' },
          { value: 'other', label: 'output or other' },
        ]}
      />
      <QuantityField name="capacitance" label="capacitance" unit="farad" placeholder="82u" />
      <QuantityField name="ratedVoltage" label="rated" unit="volt" placeholder="400V" />
      <QuantityField name="bleed" label="bleed path" unit="ohm" placeholder="470k" />
      <div className="pt-[21px]">
        <SubmitButton>List it</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Takes a store off the list. */
export function StrikeStore({ code, name }: { code: string; name: string }) {
  return (
    <div className="mt-1">
      <ConfirmButton
        action={() => strikeStoreAction(code, name)}
        title={`Strike ${name} from the stores?`}
        detail="Its readings go with it and no warning will name it. The step can be taken back."
        confirm="Strike it"
      >
        strike {name}
      </ConfirmButton>
    </div>
  );
}
