'use client';

import { LazyTrendChart } from '../../../ui/charts/LazyTrendChart';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { CorrectForm } from '../../../ui/form/CorrectForm';
import { QuantityField, SubmitButton, TextField } from '../../../ui/form/fields';
import { addSoakAction, correctSoakAction, removeSoakAction } from './actions';
import type { SoakTexts, SoakView } from './soak.server';

/** A run under load, row by row, with its curves. */
export function SoakLog({ code, soak }: { code: string; soak: SoakView }) {
  return (
    <section aria-label="Soak log" className="mt-5 max-w-[820px] border-t border-rule pt-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-[15px] font-semibold">Soak log</h2>
        <p className="text-[12.5px] text-ink-2">
          A run under load through a series lamp or an isolated supply: what goes in, how warm it gets, what comes out.
        </p>
      </div>
      <ActionForm
        action={addSoakAction.bind(null, code)}
        label="Row of the run"
        className="mt-2 grid grid-cols-[repeat(5,minmax(0,1fr))_2fr_auto] items-start gap-x-2.5 max-[620px]:grid-cols-2"
        clearAfter
      >
        <SoakFields />
        <div className="pt-[21px]">
          <SubmitButton>Add row</SubmitButton>
        </div>
      </ActionForm>
      {soak.rows.length > 0 && (
        <table className="rows plain mt-2" aria-label="Run under load">
          <thead>
            <tr>
              <th>time</th>
              <th data-align="end">power in</th>
              <th data-align="end">case</th>
              <th data-align="end">output</th>
              <th data-align="end">load</th>
              <th>remark</th>
              <th>
                <span className="sr-only">correct or delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {soak.rows.map(({ id, time, watts, celsius, volts, load, remark, typed }) => (
              <tr key={id}>
                <td className="q">{time}</td>
                <td className="q" data-align="end">
                  {watts}
                </td>
                <td className="q" data-align="end">
                  {celsius}
                </td>
                <td className="q" data-align="end">
                  {volts}
                </td>
                <td className="q" data-align="end">
                  {load}
                </td>
                <td>{remark}</td>
                <td data-align="end" className="whitespace-nowrap">
                  <CorrectForm
                    label={`Correct the row at ${time}`}
                    title={`The row at ${time}`}
                    action={correctSoakAction.bind(null, { code, rowId: id })}
                    columns="grid-cols-3"
                  >
                    <SoakFields typed={typed} />
                  </CorrectForm>{' '}
                  <ActionButton
                    tone="small"
                    action={() => removeSoakAction(code, id)}
                    label={`Delete the row at ${time}`}
                  >
                    delete
                  </ActionButton>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {soak.curves.length > 0 && (
        <div className="mt-3 grid grid-cols-2 gap-x-5 gap-y-3 max-[1080px]:grid-cols-1">
          {soak.curves.map(({ label, unit, points }) => (
            <LazyTrendChart key={label} label={label} unit={unit} points={points} />
          ))}
        </div>
      )}
    </section>
  );
}

function SoakFields({ typed }: { typed?: SoakTexts }) {
  return (
    <>
      <QuantityField name="watts" label="power in" unit="watt" placeholder="42W" defaultValue={typed?.watts} keypad />
      <QuantityField
        name="celsius"
        label="case"
        unit="celsius"
        placeholder="51C"
        defaultValue={typed?.celsius}
        keypad
      />
      <QuantityField name="volts" label="output" unit="volt" placeholder="19.1V" defaultValue={typed?.volts} keypad />
      <QuantityField name="load" label="load" unit="ampere" placeholder="2A" defaultValue={typed?.load} keypad />
      <QuantityField
        name="elapsed"
        label="at"
        unit="duration"
        placeholder={typed ? '' : '12min'}
        defaultValue={typed?.elapsed}
      />
      <TextField name="remark" label="remark" placeholder="fan starts" defaultValue={typed?.remark} />
    </>
  );
}
