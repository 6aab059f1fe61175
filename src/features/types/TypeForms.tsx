'use client';

import { ActionButton } from '../../ui/feedback/ActionButton';
import { ConfirmButton } from '../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextArea, TextField } from '../../ui/form/fields';
import {
  addAliasAction,
  addTypeAction,
  amendTypeAction,
  detachDatasheetAction,
  removeTypeAction,
  mergeTypeAction,
  rateTypeAction,
  splitTypeAction,
  unrateTypeAction,
} from './actions';
import type { TypeView } from './view.server';

const SOURCES = ['datasheet', 'decoded', 'typed', 'remembered', 'typical', 'guessed'].map((value) => ({
  value,
  label: value,
}));

/** The words of a type: a new one, or one to put right. */
export function TypeForm({
  kinds,
  type,
}: {
  kinds: readonly { value: string; label: string }[];
  type?: Pick<TypeView, 'id' | 'kind' | 'name' | 'technology' | 'package' | 'note'>;
}) {
  return (
    <ActionForm
      action={type ? amendTypeAction.bind(null, type.id) : addTypeAction}
      label={type ? `Words of ${type.name}` : 'New type'}
      className="grid max-w-[640px] grid-cols-[1fr_1.4fr_1fr_1fr] items-start gap-x-3"
    >
      <SelectField name="kind" label="kind" options={kinds} defaultValue={type?.kind ?? 'nmos'} />
      <TextField name="name" label="number" placeholder="IRF840" defaultValue={type?.name} mono />
      <TextField name="package" label="case" placeholder="TO-220" defaultValue={type?.package} />
      <TextField name="technology" label="technology" placeholder="schottky" defaultValue={type?.technology} />
      <TextArea name="note" label="note" rows={2} defaultValue={type?.note} className="col-span-full" />
      <SubmitButton {...(type ? {} : { tone: 'next' as const })}>
        {type ? 'Save the correction' : 'Write it down'}
      </SubmitButton>
    </ActionForm>
  );
}

/** A rating of a type with the page where it stands. */
export function TypeRatingForm({ type }: { type: TypeView }) {
  return (
    <ActionForm
      action={rateTypeAction.bind(null, type.id)}
      label={`Rating of ${type.name}`}
      className="grid max-w-[640px] grid-cols-[1.4fr_1fr_1fr_64px_auto] items-start gap-x-2.5"
      clearAfter
    >
      <SelectField name="rating" label="rating" options={type.ratingChoices} />
      <TextField name="value" label="value" placeholder="650V" mono />
      <SelectField name="source" label="from" options={SOURCES} defaultValue="datasheet" />
      <TextField name="page" label="page" placeholder="3" mono />
      <div className="pt-[21px]">
        <SubmitButton>Record</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Deletes a rating; it stays in the history. */
export function UnrateButton({ id, name, label }: { id: string; name: string; label: string }) {
  return (
    <ActionButton tone="small" action={() => unrateTypeAction(id, name)} label={`Delete ${label}`}>
      delete
    </ActionButton>
  );
}

/** Another marking of the type. */
export function AliasForm({ id, name }: { id: string; name: string }) {
  return (
    <ActionForm
      action={addAliasAction.bind(null, id)}
      label={`Another marking of ${name}`}
      className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="name" label="it is also marked" placeholder="F840" mono />
      <div className="pt-[21px]">
        <SubmitButton>Add</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Makes a marking a type of its own. */
export function SplitButton({ id, aliasId, alias }: { id: string; aliasId: string; alias: string }) {
  return (
    <ActionButton tone="small" action={() => splitTypeAction(id, aliasId)} label={`Make ${alias} a type of its own`}>
      split off
    </ActionButton>
  );
}

/** Takes another type into this one. */
export function MergeForm({ id, name }: { id: string; name: string }) {
  return (
    <ActionForm
      action={mergeTypeAction.bind(null, id)}
      label={`Merge into ${name}`}
      className="grid grid-cols-[1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <TextField name="name" label="the same part as" placeholder="IRF840A" mono />
      <div className="pt-[21px]">
        <SubmitButton>Merge it in</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Forgets a type that nothing rests on. */
export function ForgetType({ id, name }: { id: string; name: string }) {
  return (
    <ConfirmButton
      action={() => removeTypeAction(id)}
      title={`Forget ${name}?`}
      detail="Its ratings, markings and datasheets go with it. The step can be undone."
      confirm="Delete it"
    >
      forget {name}
    </ConfirmButton>
  );
}

/** Takes a datasheet off a type. */
export function DetachButton({ id, name }: { id: string; name: string }) {
  return (
    <ActionButton tone="small" action={() => detachDatasheetAction(id)} label={`Take ${name} off`}>
      take off
    </ActionButton>
  );
}
