'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { CheckField, QuantityField, SubmitButton } from '../../../ui/form/fields';
import { InstrumentPoint } from '../../../ui/form/instrument';
import { measurePartAction } from '../actions';
import type { PartView } from '../views/parts';

/** What the meter shows for one part. */
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
  test: NonNullable<PartView['test']>;
}) {
  return (
    <InstrumentPoint at={point}>
      <ActionForm
        action={measurePartAction.bind(null, { code, ref: refName })}
        label={`Measure ${refName}`}
        className="mb-3 grid grid-cols-[repeat(3,minmax(0,150px))_auto_auto] items-start gap-x-3 border-b border-rule pb-2 max-[899px]:grid-cols-2"
        clearAfter
      >
        <h2 className="col-span-full mb-1 text-[14px] font-semibold">
          {refName}: {test.label.charAt(0).toLowerCase() + test.label.slice(1)}{' '}
          <span className="font-normal text-ink-2">· {test.precondition}</span>
        </h2>
        {test.fields.map(({ name, label, unit, open, hint, meter }) => (
          <QuantityField
            key={name}
            name={name}
            label={label}
            unit={unit}
            openWord={open}
            {...(meter ? { wants: meter } : {})}
            hint={hint ?? (open ? 'or OL' : undefined)}
          />
        ))}
        <div className="pt-[21px]">
          <CheckField name="inCircuit" label="in circuit" />
        </div>
        <div className="pt-[21px]">
          <SubmitButton tone="next">Judge it</SubmitButton>
        </div>
      </ActionForm>
    </InstrumentPoint>
  );
}
