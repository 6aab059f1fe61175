'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { CheckField, QuantityField, SelectField, SubmitButton } from '../../../ui/form/fields';
import { InstrumentPoint } from '../../../ui/form/instrument';
import { routes } from '../../../routes';
import { measurePartAction } from './actions';
import type { PartTestView, TestFieldView } from './present';
import { OhmTable } from './OhmTable';

/** What the meter shows for one part, in the order in which a person measures it. */
export function MeasurementForm({
  code,
  refName,
  point,
  test,
}: {
  code: string;
  refName: string;
  /** Where a stand-in meter must put its leads. */
  point: string;
  test: PartTestView;
}) {
  return (
    <InstrumentPoint at={point}>
      <ActionForm
        action={measurePartAction.bind(null, { code, ref: refName })}
        label={`Measure ${refName}`}
        className="mb-3 grid grid-cols-4 items-start gap-x-3 border-b border-rule pb-2 max-[1100px]:grid-cols-3 max-[620px]:grid-cols-2"
        clearAfter
      >
        <h2 className="col-span-full mb-1 text-[14px] font-semibold">
          {refName}: {test.label.charAt(0).toLowerCase() + test.label.slice(1)}{' '}
          <span className="font-normal text-ink-2">· {test.precondition}</span>
        </h2>
        {test.caution && (
          <p role="note" className="col-span-full mb-1 border-l-4 border-stop bg-stop-wash px-3 py-1.5 text-[12.5px]">
            {test.caution}
          </p>
        )}
        {test.fields.map((field) => (
          <TestFieldInput key={field.name} field={field} />
        ))}
        {test.transformer && <OhmTable />}
        {test.further.length > 0 && (
          <details className="col-span-full mb-1">
            <summary className="cursor-pointer py-1 text-[13px] underline decoration-dotted">further readings</summary>
            <div className="mt-1 grid grid-cols-4 items-start gap-x-3 max-[1100px]:grid-cols-3 max-[620px]:grid-cols-2">
              {test.further.map((field) => (
                <TestFieldInput key={field.name} field={field} />
              ))}
            </div>
          </details>
        )}
        <div className="col-span-full flex flex-wrap items-end gap-x-4 gap-y-1">
          {test.meters.length > 0 && (
            <SelectField
              name="meter"
              label="meter"
              defaultValue={test.meter}
              options={[
                { value: '', label: 'a usual one' },
                ...test.meters.map((name) => ({ value: name, label: name })),
              ]}
            />
          )}
          <CheckField name="inCircuit" label="in circuit" />
          <SubmitButton tone="next">Judge it</SubmitButton>
        </div>
        {test.usual && (
          <p className="col-span-full mt-1 text-[12px] text-ink-2">
            Counted as a usual meter’s: {test.usual}.{' '}
            <a href={`${routes.settings()}#check-meter`} className="underline decoration-dotted">
              Check yours with two known parts
            </a>
          </p>
        )}
      </ActionForm>
    </InstrumentPoint>
  );
}

/** One field of a test: a quantity, or a few answers to choose from. */
export function TestFieldInput({ field }: { field: TestFieldView }) {
  const { name, label, unit, open, hint, meter, choices, should } = field;
  const message = [should && `good: ${should}`, hint ?? (open && !should ? 'or OL' : undefined)]
    .filter(Boolean)
    .join('; ');
  if (choices)
    return (
      <SelectField
        name={name}
        label={label}
        defaultValue=""
        hint={message || undefined}
        options={[
          { value: '', label: 'not tried' },
          ...choices.map((one) => ({ value: `${one.value}`, label: one.label })),
        ]}
      />
    );
  return (
    <QuantityField
      name={name}
      label={label}
      unit={unit}
      openWord={open}
      {...(meter ? { wants: meter } : {})}
      hint={message || undefined}
    />
  );
}
