'use client';

import { useState } from 'react';
import type { Nameplate, NameplateInput, NameplateOutput } from '../../../core/nameplate';
import { formatQuantity, parseQuantity, problemText, type Unit } from '../../../core/quantity';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { amendPlateAction } from './actions';

/** A row of the editor: texts as typed, and the marks that are ticked. */
interface EditedInput {
  readonly kind: 'ac' | 'dc';
  readonly vMin: string;
  readonly vMax: string;
  readonly current: string;
  readonly hertz: string;
}
interface EditedOutput {
  readonly v: string;
  readonly vMax: string;
  readonly i: string;
  readonly p: string;
  readonly mark: '' | 'alternative' | 'standby';
  readonly ac: boolean;
  readonly port: string;
}

const typed = (value: number | undefined, unit: Unit) =>
  value === undefined
    ? ''
    : formatQuantity(value, unit, { digits: 4 })
        .replace(/\u00a0/g, '')
        .replace('−', '-');

const toInput = (input: NameplateInput): EditedInput => ({
  kind: input.kind,
  vMin: typed(input.vMin, 'volt'),
  vMax: typed(input.vMax, 'volt'),
  current: typed(input.current, 'ampere'),
  hertz: (input.frequencies ?? []).join('/'),
});
const toOutput = (output: NameplateOutput): EditedOutput => ({
  v: typed(output.v, 'volt'),
  vMax: typed(output.vMax, 'volt'),
  i: typed(output.i, 'ampere'),
  p: typed(output.p, 'watt'),
  mark: output.alternative ? 'alternative' : output.standby ? 'standby' : '',
  ac: output.ac === true,
  port: output.port ?? '',
});

const NEW_INPUT: EditedInput = { kind: 'ac', vMin: '', vMax: '', current: '', hertz: '' };
const NEW_OUTPUT: EditedOutput = { v: '', vMax: '', i: '', p: '', mark: '', ac: false, port: '' };

/** The plate field by field, for putting right what the text was misread as. */
export default function PlateEditor({ code, plate, byHand }: { code: string; plate: Nameplate; byHand: boolean }) {
  const [inputs, setInputs] = useState(plate.inputs.map(toInput));
  const [outputs, setOutputs] = useState(plate.outputs.map(toOutput));
  const [total, setTotal] = useState(typed(plate.totalPower, 'watt'));
  const read = readPlate(plate, { inputs, outputs, total });
  const input = (index: number, change: Partial<EditedInput>) =>
    setInputs(inputs.map((row, at) => (at === index ? { ...row, ...change } : row)));
  const output = (index: number, change: Partial<EditedOutput>) =>
    setOutputs(outputs.map((row, at) => (at === index ? { ...row, ...change } : row)));
  return (
    <div>
      <table className="rows plain mt-2 text-[13px]" aria-label="Inputs of the plate">
        <thead>
          <tr>
            <th>input</th>
            <th>from</th>
            <th>to</th>
            <th>current</th>
            <th>hertz</th>
            <th>
              <span className="sr-only">take out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {inputs.map((row, index) => (
            <tr key={index}>
              <td>
                <select
                  aria-label={`Kind of input ${index + 1}`}
                  value={row.kind}
                  onChange={(event) => input(index, { kind: event.target.value as 'ac' | 'dc' })}
                >
                  <option value="ac">AC</option>
                  <option value="dc">DC</option>
                </select>
              </td>
              {(['vMin', 'vMax', 'current', 'hertz'] as const).map((name) => (
                <td key={name}>
                  <Cell
                    label={`${INPUT_LABEL[name]} of input ${index + 1}`}
                    value={row[name]}
                    onText={(text) => input(index, { [name]: text })}
                  />
                </td>
              ))}
              <td>
                <Remove
                  label={`input ${index + 1}`}
                  onClick={() => setInputs(inputs.filter((_, at) => at !== index))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="rows plain mt-3 text-[13px]" aria-label="Outputs of the plate">
        <thead>
          <tr>
            <th>output</th>
            <th>up to</th>
            <th>current</th>
            <th>power</th>
            <th>what it is</th>
            <th>AC</th>
            <th>socket</th>
            <th>
              <span className="sr-only">take out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {outputs.map((row, index) => (
            <tr key={index}>
              {(['v', 'vMax', 'i', 'p'] as const).map((name) => (
                <td key={name}>
                  <Cell
                    label={`${OUTPUT_LABEL[name]} of output ${index + 1}`}
                    value={row[name]}
                    onText={(text) => output(index, { [name]: text })}
                  />
                </td>
              ))}
              <td>
                <select
                  aria-label={`What output ${index + 1} is`}
                  value={row.mark}
                  onChange={(event) => output(index, { mark: event.target.value as EditedOutput['mark'] })}
                >
                  <option value="">a rail</option>
                  <option value="alternative">one choice of several</option>
                  <option value="standby">standby rail</option>
                </select>
              </td>
              <td>
                <input
                  type="checkbox"
                  aria-label={`Output ${index + 1} alternates`}
                  checked={row.ac}
                  onChange={(event) => output(index, { ac: event.target.checked })}
                  className="size-4 accent-ochre"
                />
              </td>
              <td>
                <Cell
                  label={`Socket of output ${index + 1}`}
                  value={row.port}
                  onText={(text) => output(index, { port: text })}
                />
              </td>
              <td>
                <Remove
                  label={`output ${index + 1}`}
                  onClick={() => setOutputs(outputs.filter((_, at) => at !== index))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 text-[13px]">
        <label className="flex items-center gap-2">
          printed total <Cell label="Printed total" value={total} onText={setTotal} />
        </label>
        <button type="button" className="btn" data-tone="quiet" onClick={() => setInputs([...inputs, NEW_INPUT])}>
          another input
        </button>
        <button type="button" className="btn" data-tone="quiet" onClick={() => setOutputs([...outputs, NEW_OUTPUT])}>
          another output
        </button>
        {read.ok && <ActionButton action={() => amendPlateAction(code, read.plate)}>Keep these fields</ActionButton>}
        {byHand && <ActionButton action={() => amendPlateAction(code, null)}>Read the text again</ActionButton>}
      </div>
      {!read.ok && (
        <p role="alert" className="mt-1.5 text-[12.5px] text-stop">
          {read.problem}
        </p>
      )}
    </div>
  );
}

const INPUT_LABEL = { vMin: 'Lower end', vMax: 'Upper end', current: 'Current', hertz: 'Hertz' } as const;
const OUTPUT_LABEL = { v: 'Volts', vMax: 'Upper end', i: 'Current', p: 'Power' } as const;

function Cell({ label, value, onText }: { label: string; value: string; onText: (text: string) => void }) {
  return (
    <input
      aria-label={label}
      value={value}
      onChange={(event) => onText(event.target.value)}
      autoComplete="off"
      spellCheck={false}
      className="w-[78px] rounded-[3px] border border-rule-2 bg-lift px-1.5 py-1 font-mono text-[13px]"
    />
  );
}

function Remove({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <button type="button" className="btn" data-tone="small" aria-label={`Take ${label} out`} onClick={onClick}>
      take out
    </button>
  );
}

type ReadPlate = { ok: true; plate: Nameplate } | { ok: false; problem: string };

/** The texts as a plate, or the first one that cannot be read, by name. */
function readPlate(
  before: Nameplate,
  edited: { inputs: readonly EditedInput[]; outputs: readonly EditedOutput[]; total: string },
): ReadPlate {
  const problems: string[] = [];
  const number = (text: string, unit: Unit, what: string, needed = false): number | undefined => {
    if (text.trim() === '') {
      if (needed) problems.push(`${what} is missing.`);
      return undefined;
    }
    const parsed = parseQuantity(text, unit);
    if (parsed.ok) return parsed.quantity.value;
    problems.push(`${what}: ${problemText(parsed.problem)}`);
    return undefined;
  };
  const given = <T extends object>(entries: T) =>
    Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined && value !== ''));
  const inputs = edited.inputs.map((row, index) => {
    const what = (name: keyof typeof INPUT_LABEL) => `${INPUT_LABEL[name]} of input ${index + 1}`;
    const vMin = number(row.vMin, 'volt', what('vMin'), true) ?? 0;
    const hertz = row.hertz
      .split(/[/,\s-]+/)
      .filter((text) => text !== '')
      .map((text) => number(text, 'hertz', what('hertz')) ?? 0);
    return {
      kind: row.kind,
      vMin,
      vMax: number(row.vMax, 'volt', what('vMax')) ?? vMin,
      ...given({ current: number(row.current, 'ampere', what('current')) }),
      ...(hertz.length > 0 ? { frequencies: hertz } : {}),
    } as NameplateInput;
  });
  const outputs = edited.outputs.map((row, index) => {
    const what = (name: keyof typeof OUTPUT_LABEL) => `${OUTPUT_LABEL[name]} of output ${index + 1}`;
    return {
      v: number(row.v, 'volt', what('v'), true) ?? 0,
      ...given({
        vMax: number(row.vMax, 'volt', what('vMax')),
        i: number(row.i, 'ampere', what('i')),
        p: number(row.p, 'watt', what('p')),
        port: row.port.trim(),
      }),
      ...(row.mark === '' ? {} : { [row.mark]: true }),
      ...(row.ac ? { ac: true as const } : {}),
    } as NameplateOutput;
  });
  const totalPower = number(edited.total, 'watt', 'The printed total');
  const [problem] = problems;
  if (problem) return { ok: false, problem };
  const { totalPower: _total, ...rest } = before;
  return { ok: true, plate: { ...rest, inputs, outputs, ...(totalPower === undefined ? {} : { totalPower }) } };
}
