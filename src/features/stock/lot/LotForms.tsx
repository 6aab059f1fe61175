'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { USE_NAMES, USES } from '../../../core/measure';
import {
  COOLING_NAMES,
  COOLINGS,
  MOUNTING_NAMES,
  MOUNTINGS,
  PLUG_NAMES,
  PLUGS,
  type Fittings,
} from '../../../core/module';
import { KIND_NAMES, kindRule } from '../../../core/part';
import { typedQuantity } from '../../../core/quantity';
import { QuantityField, SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import {
  addLotAction,
  fitLotAction,
  joinLotsAction,
  moveToBinAction,
  splitLotAction,
  takePiecesAction,
} from './actions';

/** Takes pieces out for something that is no build. */
export function TakePiecesForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={takePiecesAction.bind(null, code)}
      label="Take out"
      className="grid grid-cols-[70px_1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="quantity" label="pieces" defaultValue="1" mono />
      <TextField name="note" label="for what" placeholder="repair of the lathe" />
      <div className="pt-[21px]">
        <SubmitButton>Take out</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Puts the lot into another bin. */
export function MoveForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={moveToBinAction.bind(null, code)}
      label="Move"
      className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="bin" label="to bin" placeholder="C2-5" mono />
      <div className="pt-[21px]">
        <SubmitButton>Move it</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Splits some pieces off into a lot of their own. */
export function SplitForm({ code, bin }: { code: string; bin: string }) {
  return (
    <ActionForm
      action={splitLotAction.bind(null, code)}
      label="Split"
      className="grid grid-cols-[70px_1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="quantity" label="pieces" defaultValue="1" mono />
      <TextField name="bin" label="into bin" defaultValue={bin} mono />
      <div className="pt-[21px]">
        <SubmitButton>Split</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Puts another lot of like parts into this one. */
export function JoinForm({
  code,
  like,
}: {
  code: string;
  like: readonly { code: string; bin: string; pieces: number }[];
}) {
  if (like.length === 0) return null;
  return (
    <ActionForm
      action={joinLotsAction.bind(null, code)}
      label="Join"
      className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <SelectField
        name="from"
        label="a similar lot comes into this one"
        options={like.map((lot) => ({ value: lot.code, label: `${lot.code}, ${lot.pieces} in ${lot.bin}` }))}
      />
      <div className="pt-[21px]">
        <SubmitButton>Merge it</SubmitButton>
      </div>
    </ActionForm>
  );
}

const NOT_LOOKED = { value: '', label: 'not looked' };
const SUPPLY = {
  plug: [NOT_LOOKED, ...PLUG_NAMES.map((value) => ({ value, label: PLUGS[value].label }))],
  cooling: [NOT_LOOKED, ...COOLING_NAMES.map((value) => ({ value, label: COOLINGS[value].label }))],
  mounting: [NOT_LOOKED, ...MOUNTING_NAMES.map((value) => ({ value, label: MOUNTINGS[value].label }))],
  protection: [NOT_LOOKED, ...(['I', 'II', 'III'] as const).map((value) => ({ value, label: `class ${value}` }))],
};

/** What counts when a subassembly is used whole. */
export function FittingsForm({ code, fittings }: { code: string; fittings: Fittings }) {
  const typed = (value: number | undefined) => (value === undefined ? '' : typedQuantity(value, 'volt'));
  return (
    <ActionForm
      action={fitLotAction.bind(null, code)}
      label="Used whole"
      className="mt-6 grid max-w-[760px] grid-cols-3 gap-x-4 gap-y-1.5 max-[620px]:grid-cols-2"
    >
      <h2 className="label col-span-3 max-[620px]:col-span-2">When it is used whole</h2>
      <SelectField name="plug" label="plug of its output" defaultValue={fittings.plug ?? ''} options={SUPPLY.plug} />
      <SelectField name="cooling" label="cooled by" defaultValue={fittings.cooling ?? ''} options={SUPPLY.cooling} />
      <SelectField name="mounting" label="mounting" defaultValue={fittings.mounting ?? ''} options={SUPPLY.mounting} />
      <SelectField
        name="protection"
        label="protection class"
        defaultValue={fittings.protection ?? ''}
        options={SUPPLY.protection}
      />
      <QuantityField
        name="trimmedTo"
        label="trims up to"
        unit="volt"
        defaultValue={typed(fittings.trimmedTo)}
        placeholder="13.2V"
      />
      <QuantityField
        name="ripple"
        label="ripple and noise, peak to peak"
        unit="volt"
        defaultValue={typed(fittings.ripple)}
        placeholder="80mV"
      />
      <div className="col-span-3 mt-1 max-[620px]:col-span-2">
        <SubmitButton>Write it down</SubmitButton>
      </div>
    </ActionForm>
  );
}

const KINDS = KIND_NAMES.map((kind) => ({ value: kind, label: kindRule(kind).label }));
const GRADES = [
  { value: '', label: 'not tested' },
  { value: 'A', label: 'A, as new' },
  { value: 'B', label: 'B, with a limit' },
  { value: 'C', label: 'C, undemanding use' },
];

const LIMITS = [{ value: '', label: 'none' }, ...USE_NAMES.map((use) => ({ value: use, label: USES[use].not }))];

/** A lot that comes from no donor. */
export function LotForm() {
  return (
    <ActionForm action={addLotAction} label="New lot" className="grid max-w-[640px] grid-cols-6 gap-x-4 gap-y-1.5">
      <SelectField
        name="kind"
        label="kind"
        options={KINDS}
        defaultValue="resistor"
        className="col-span-2 max-[620px]:col-span-6"
      />
      <TextField name="package" label="case" placeholder="TO-220" className="col-span-2 max-[620px]:col-span-3" />
      <TextField
        name="marking"
        label="marking"
        placeholder="12N65"
        mono
        className="col-span-2 max-[620px]:col-span-3"
      />
      <TextField
        name="values"
        label="values, with their source when it is not the print"
        placeholder="650V 12A datasheet"
        mono
        className="col-span-6"
      />
      <SelectField
        name="grade"
        label="grade"
        options={GRADES}
        defaultValue=""
        className="col-span-2 max-[620px]:col-span-3"
      />
      <SelectField
        name="limit"
        label="its limit"
        options={LIMITS}
        defaultValue=""
        className="col-span-4 max-[620px]:col-span-3"
      />
      <TextField name="pieces" label="pieces" defaultValue="1" mono className="col-span-2 max-[620px]:col-span-3" />
      <TextField name="bin" label="bin" placeholder="C2-5" mono className="col-span-2 max-[620px]:col-span-3" />
      <div className="col-span-6 mt-1">
        <SubmitButton tone="next">Put it in the drawer</SubmitButton>
      </div>
    </ActionForm>
  );
}
