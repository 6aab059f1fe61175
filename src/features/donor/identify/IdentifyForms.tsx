'use client';

import { useId } from 'react';
import { DAMAGE_WORDS, FITMENT_NAMES } from '../../../core/part';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { ScoreRule } from '../../../ui/judgement/ScoreRule';
import {
  acceptClearDecodingsAction,
  acceptDecodingAction,
  placePartAction,
  removePartAction,
  typeRatingAction,
} from './actions';
import type { PartIdentity, DecodingView } from './partIdentity.server';

/** The ranked readings of a marking; one is taken as the part's. */
export function DecodingsForm({
  code,
  refName,
  decodings,
  taken = [],
  label = `Readings of ${refName}`,
}: {
  code: string;
  refName: string;
  decodings: readonly DecodingView[];
  /** Ids of readings that were taken already. */
  taken?: readonly string[];
  label?: string;
}) {
  return (
    <ActionForm action={acceptDecodingAction.bind(null, { code, ref: refName })} label={label}>
      <ol className="dotted">
        {decodings.map(({ id, kind, why, percent, confidence, rule, readAs }) => (
          <li key={id} className="grid grid-cols-[58px_1fr_auto] items-baseline gap-x-3 py-2">
            <span className="q">
              {percent}
              <ScoreRule value={confidence} label={`believed at ${percent}`} />
            </span>
            <span className="leading-snug">
              <span className="font-medium">{kind}</span>: {why}
              <span className="block text-[11.5px] text-ink-3">
                {readAs && <>taking the worn print as {readAs}; </>}rule {rule}; check the datasheet
              </span>
            </span>
            {taken.includes(id) ? (
              <span className="text-[12px] text-ink-2">taken</span>
            ) : (
              <SubmitButton name="decoding" value={id}>
                Take it
              </SubmitButton>
            )}
          </li>
        ))}
      </ol>
    </ActionForm>
  );
}

/** Where a part sits, what it is there for and what is wrong with it. */
export function PlaceForm({ code, refName, place }: { code: string; refName: string; place: PartIdentity['place'] }) {
  const { blocks, duties, subtypes, sinks } = place;
  const sinkList = useId();
  return (
    <ActionForm
      action={placePartAction.bind(null, { code, ref: refName })}
      label={`Place of ${refName}`}
      className="grid grid-cols-3 items-start gap-x-2.5"
    >
      <SelectField name="block" label="block" options={blocks} defaultValue={place.block} />
      <SelectField name="duty" label="there as" options={duties} defaultValue={place.duty} />
      <SelectField name="subtype" label="sort" options={subtypes} defaultValue={place.subtype} />
      <div className="col-span-full flex flex-wrap gap-x-3.5">
        {DAMAGE_WORDS.map((word) => (
          <Tick key={word} name="damage[]" word={word} on={place.damage.includes(word)} />
        ))}
        {FITMENT_NAMES.map((word) => (
          <Tick key={word} name="fitments[]" word={word} on={place.fitments.includes(word)} />
        ))}
      </div>
      <TextField name="sink" label="on heat sink" placeholder="HS1" defaultValue={place.sink} list={sinkList} mono />
      <datalist id={sinkList}>
        {sinks.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <div className="pt-[21px]">
        <SubmitButton>Save it</SubmitButton>
      </div>
    </ActionForm>
  );
}

function Tick({ name, word, on }: { name: string; word: string; on: boolean }) {
  return (
    <label className="flex min-h-[28px] items-center gap-1.5 text-[12.5px]">
      <input type="checkbox" name={name} value={word} defaultChecked={on} className="size-3.5 accent-ochre" />
      {word}
    </label>
  );
}

/** A rating that the person knows, with where from. */
export function RatingForm({
  code,
  refName,
  choices,
}: {
  code: string;
  refName: string;
  choices: readonly { value: string; label: string }[];
}) {
  return (
    <ActionForm
      action={typeRatingAction.bind(null, { code, ref: refName })}
      label={`Rating of ${refName}`}
      className="grid grid-cols-2 items-start gap-x-2.5"
      clearAfter
    >
      <SelectField name="rating" label="rating" options={choices} />
      <TextField name="value" label="value" placeholder="650V" mono />
      <SelectField
        name="source"
        label="from"
        defaultValue="datasheet"
        options={['datasheet', 'decoded', 'typical', 'guessed'].map((value) => ({ value, label: value }))}
      />
      <div className="pt-[21px]">
        <SubmitButton>Record</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** Takes every reading that is clear and fits its place. */
export function TakeClear({ code, count }: { code: string; count: number }) {
  return (
    <div className="mt-2">
      <ActionButton action={() => acceptClearDecodingsAction(code)}>
        {count === 1 ? 'Take the clear reading' : `Take the ${count} clear readings`}
      </ActionButton>
    </div>
  );
}

/** Takes a part out of the log. */
export function DeletePart({ code, refName }: { code: string; refName: string }) {
  return (
    <ConfirmButton
      action={() => removePartAction({ code, ref: refName })}
      title={`Delete ${refName} from the log?`}
      detail="Its ratings and measurements go with it. The step can be undone."
      confirm="Delete it"
    >
      delete {refName}
    </ConfirmButton>
  );
}
