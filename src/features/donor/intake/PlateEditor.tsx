'use client';

import { useState, type ReactNode } from 'react';
import type { Nameplate, NameplateInput, NameplateOutput } from '../../../core/nameplate';
import { formatQuantity, type Unit } from '../../../core/quantity';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm, useField } from '../../../ui/form/ActionForm';
import { SubmitButton } from '../../../ui/form/fields';
import { amendPlateAction, rereadPlateAction } from './actions';

const typed = (value: number | undefined, unit: Unit) =>
  value === undefined
    ? ''
    : formatQuantity(value, unit, { digits: 4 })
        .replace(/\u00a0/g, '')
        .replace('−', '-');

/** Rows that come and go; each keeps its fields as the others do. */
function useRows<T>(first: readonly T[]) {
  const [rows, setRows] = useState(() => first.map((row, id) => ({ id, row: row as Partial<T> })));
  return {
    rows,
    add: () => setRows([...rows, { id: (rows.at(-1)?.id ?? -1) + 1, row: {} }]),
    remove: (id: number) => setRows(rows.filter((one) => one.id !== id)),
  };
}

/** The plate field by field, for putting right what the text was misread as. */
export default function PlateEditor({ code, plate, byHand }: { code: string; plate: Nameplate; byHand: boolean }) {
  const inputs = useRows<NameplateInput>(plate.inputs);
  const outputs = useRows<NameplateOutput>(plate.outputs);
  return (
    <ActionForm action={amendPlateAction.bind(null, code)} label="Fields of the plate">
      <PlateRows label="Inputs of the plate" heads={['input', 'from', 'to', 'current', 'hertz']}>
        {inputs.rows.map(({ id, row }, index) => {
          const cell = (name: string, label: string, value: string) => (
            <Cell name={`inputs[${index}].${name}`} label={`${label} of input ${index + 1}`} value={value} />
          );
          return (
            <tr key={id}>
              <td>
                <select
                  name={`inputs[${index}].kind`}
                  aria-label={`Kind of input ${index + 1}`}
                  defaultValue={row.kind ?? 'ac'}
                >
                  <option value="ac">AC</option>
                  <option value="dc">DC</option>
                </select>
                <input type="hidden" name={`inputs[${index}].power`} value={typed(row.power, 'watt')} />
              </td>
              {cell('vMin', 'Lower end', typed(row.vMin, 'volt'))}
              {cell('vMax', 'Upper end', typed(row.vMax, 'volt'))}
              {cell('current', 'Current', typed(row.current, 'ampere'))}
              {cell('hertz', 'Hertz', (row.frequencies ?? []).join('/'))}
              <Remove label={`input ${index + 1}`} onClick={() => inputs.remove(id)} />
            </tr>
          );
        })}
      </PlateRows>
      <PlateRows
        label="Outputs of the plate"
        heads={['output', 'up to', 'current', 'power', 'what it is', 'AC', 'socket']}
      >
        {outputs.rows.map(({ id, row }, index) => {
          const cell = (name: string, label: string, value: string) => (
            <Cell name={`outputs[${index}].${name}`} label={`${label} of output ${index + 1}`} value={value} />
          );
          return (
            <tr key={id}>
              {cell('v', 'Volts', typed(row.v, 'volt'))}
              {cell('vMax', 'Upper end', typed(row.vMax, 'volt'))}
              {cell('i', 'Current', typed(row.i, 'ampere'))}
              {cell('p', 'Power', typed(row.p, 'watt'))}
              <td>
                <select
                  name={`outputs[${index}].mark`}
                  aria-label={`What output ${index + 1} is`}
                  defaultValue={row.alternative ? 'alternative' : row.standby ? 'standby' : ''}
                >
                  <option value="">a rail</option>
                  <option value="alternative">one choice of several</option>
                  <option value="standby">standby rail</option>
                </select>
              </td>
              <td>
                <input
                  type="checkbox"
                  name={`outputs[${index}].ac`}
                  aria-label={`Output ${index + 1} alternates`}
                  defaultChecked={row.ac === true}
                  className="size-4 accent-ochre"
                />
              </td>
              {cell('port', 'Socket', row.port ?? '')}
              <Remove label={`output ${index + 1}`} onClick={() => outputs.remove(id)} />
            </tr>
          );
        })}
      </PlateRows>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 text-[13px]">
        <label className="flex items-center gap-2">
          printed total <CellInput name="total" label="Printed total" value={typed(plate.totalPower, 'watt')} />
        </label>
        <button type="button" className="btn" data-tone="quiet" onClick={inputs.add}>
          another input
        </button>
        <button type="button" className="btn" data-tone="quiet" onClick={outputs.add}>
          another output
        </button>
        <SubmitButton>Save these fields</SubmitButton>
        {byHand && <ActionButton action={() => rereadPlateAction(code)}>Read the text again</ActionButton>}
      </div>
    </ActionForm>
  );
}

function PlateRows({ label, heads, children }: { label: string; heads: readonly string[]; children: ReactNode }) {
  return (
    <table className="rows plain mt-2.5 text-[13px]" aria-label={label}>
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
          <th scope="col">
            <span className="sr-only">take out</span>
          </th>
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </table>
  );
}

function Cell(of: { name: string; label: string; value: string }) {
  return (
    <td>
      <CellInput {...of} />
    </td>
  );
}

function CellInput({ name, label, value }: { name: string; label: string; value: string }) {
  const { id, messageId, problem } = useField(name);
  return (
    <>
      <input
        id={id}
        name={name}
        aria-label={label}
        aria-describedby={problem ? messageId : undefined}
        aria-invalid={problem ? true : undefined}
        defaultValue={value}
        autoComplete="off"
        spellCheck={false}
        className="w-[78px] rounded-[3px] border border-rule-2 bg-lift px-1.5 py-1 font-mono text-[13px] aria-invalid:border-stop"
      />
      {problem && (
        <span id={messageId} role="alert" className="block max-w-[180px] text-[12px] text-stop">
          {label}: {problem}
        </span>
      )}
    </>
  );
}

function Remove({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <td>
      <button type="button" className="btn" data-tone="small" aria-label={`Take ${label} out`} onClick={onClick}>
        take out
      </button>
    </td>
  );
}
