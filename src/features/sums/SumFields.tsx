'use client';

import { useId } from 'react';
import type { Field, FieldState, Sum } from '../../core/sums';

/** What is typed for a sum; with a second column where another is held beside it. */
export function SumFields({
  sum,
  texts,
  states,
  beside,
  besideStates,
  onText,
  onBeside,
}: {
  sum: Sum;
  texts: Readonly<Record<string, string>>;
  states: Readonly<Record<string, FieldState>>;
  beside?: Readonly<Record<string, string>> | undefined;
  besideStates?: Readonly<Record<string, FieldState>> | undefined;
  onText: (id: string, text: string) => void;
  onBeside: (id: string, text: string) => void;
}) {
  return (
    <div
      className="sum-fields"
      role="group"
      aria-label="What you measured and typed"
      data-two={beside ? '' : undefined}
    >
      <p className="label">What you measured and typed</p>
      {sum.fields.map((field) => {
        const text = texts[field.id] ?? field.usual;
        const other = beside?.[field.id] ?? field.usual;
        return (
          <div key={field.id} className="sum-row" data-differs={beside && other !== text ? '' : undefined}>
            <One field={field} text={text} state={states[field.id] ?? {}} onText={(typed) => onText(field.id, typed)} />
            {beside && (
              <One
                field={field}
                isBeside
                text={other}
                state={besideStates?.[field.id] ?? {}}
                onText={(typed) => onBeside(field.id, typed)}
              />
            )}
          </div>
        );
      })}
    </div>
  );
}

function One({
  field,
  text,
  state,
  isBeside,
  onText,
}: {
  field: Field;
  text: string;
  state: FieldState;
  isBeside?: true;
  onText: (text: string) => void;
}) {
  const id = useId();
  const { says, problem } = state;
  const shared = {
    id,
    value: text,
    'aria-invalid': problem ? true : undefined,
    'aria-describedby': says || problem ? `${id}-says` : undefined,
  } as const;
  return (
    <div
      className="sum-field"
      data-problem={problem ? '' : undefined}
      data-words={field.unit === undefined && !field.choices ? '' : undefined}
    >
      <label htmlFor={id} className={isBeside ? 'sr-only' : undefined}>
        {field.label}
        {isBeside && ', beside'}
        {field.isOptional && !isBeside && <span className="text-ink-3"> if known</span>}
      </label>
      <div>
        {field.choices ? (
          <select {...shared} onChange={({ target }) => onText(target.value)}>
            {field.choices.map((choice) => (
              <option key={choice}>{choice}</option>
            ))}
          </select>
        ) : (
          <input
            {...shared}
            className="q"
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            onChange={({ target }) => onText(target.value)}
          />
        )}
        {(problem ?? says) && (
          <p id={`${id}-says`} role={problem ? 'alert' : undefined}>
            {problem ?? says}
          </p>
        )}
      </div>
    </div>
  );
}
