'use client';

import { useId } from 'react';
import { KIND_NAMES, kindRule, PACKAGES } from '../../../core/part';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { acceptReadingAction, logPartAction, strikePartAction, typeRatingAction } from '../actions';
import type { ReadingView } from '../views/parts';

const KINDS = [
  { value: '', label: 'by reference' },
  ...KIND_NAMES.map((kind) => ({ value: kind, label: kindRule(kind).label })),
];

/** Logs one part; the bench line does the same faster. */
export function PartForm({ code, packages }: { code: string; packages: readonly string[] }) {
  const listId = useId();
  return (
    <ActionForm
      action={logPartAction.bind(null, code)}
      label="Log a part"
      className="-mb-2 grid grid-cols-[70px_1fr_1fr_1.4fr_1.2fr_auto] items-start gap-x-2.5 max-[620px]:grid-cols-2"
      clearAfter
    >
      <TextField name="ref" label="part" placeholder="Q1" mono />
      <SelectField name="kind" label="kind" options={KINDS} defaultValue="" />
      <TextField name="package" label="case" placeholder="TO-220" list={listId} />
      <TextField name="values" label="values as printed" placeholder="82u 400V 105C" mono />
      <TextField name="marking" label="marking" placeholder="12N65" mono />
      <div className="pt-[21px]">
        <SubmitButton>Log it</SubmitButton>
      </div>
      <datalist id={listId}>
        {[...new Set([...packages, ...PACKAGES.map(({ name }) => name)])].map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </ActionForm>
  );
}

/** The ranked readings of a marking; one is taken as the part's. */
export function ReadingsForm({
  code,
  refName,
  readings,
}: {
  code: string;
  refName: string;
  readings: readonly ReadingView[];
}) {
  return (
    <ActionForm action={acceptReadingAction.bind(null, { code, ref: refName })} label={`Readings of ${refName}`}>
      <ol className="dotted">
        {readings.map(({ id, kind, why, percent, rule, taken }) => (
          <li key={id} className="grid grid-cols-[48px_1fr_auto] items-baseline gap-x-3 py-2">
            <span className="q">{percent}</span>
            <span className="leading-snug">
              <span className="font-medium">{kind}</span>: {why}
              <span className="block text-[11.5px] text-ink-3">rule {rule}; check the datasheet</span>
            </span>
            {taken ? (
              <span className="text-[12px] text-ink-2">taken</span>
            ) : (
              <SubmitButton name="reading" value={id}>
                Take it
              </SubmitButton>
            )}
          </li>
        ))}
      </ol>
    </ActionForm>
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
  if (choices.length === 0) return <p>No ratings are kept for this kind yet; note what you know.</p>;
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

/** Takes a part out of the log. */
export function StrikePart({ code, refName }: { code: string; refName: string }) {
  return (
    <ConfirmButton
      action={() => strikePartAction({ code, ref: refName })}
      title={`Strike ${refName} from the log?`}
      detail="Its ratings and measurements go with it. The step can be taken back."
      confirm="Strike it"
    >
      strike {refName}
    </ConfirmButton>
  );
}
