'use client';

import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { formatDuration, formatQuantity, parseQuantity, problemText, type Unit } from '../../core/quantity';
import { useField } from './ActionForm';
import { useInstrument, type InstrumentReading } from './instrument';

interface FieldProps {
  readonly name: string;
  readonly label: string;
  readonly defaultValue?: string | undefined;
  readonly hint?: string | undefined;
  readonly placeholder?: string | undefined;
  readonly className?: string | undefined;
}

function Field({
  name,
  label,
  message,
  problem,
  mono,
  className,
  children,
}: {
  name: string;
  label: string;
  message?: ReactNode;
  problem?: string | undefined;
  mono?: boolean;
  className?: string | undefined;
  children: ReactNode;
}) {
  const { id, messageId } = useField(name);
  return (
    <div
      className={`field ${className ?? ''}`}
      data-problem={problem ? '' : undefined}
      data-mono={mono ? '' : undefined}
    >
      <label htmlFor={id}>{label}</label>
      {children}
      <p id={messageId} role={problem ? 'alert' : undefined}>
        {problem ?? message}
      </p>
    </div>
  );
}

/** A line of text. */
export function TextField({
  name,
  label,
  defaultValue = '',
  hint,
  placeholder,
  className,
  mono,
  list,
}: FieldProps & { mono?: boolean; list?: string }) {
  const { id, messageId, problem } = useField(name);
  return (
    <Field name={name} label={label} message={hint} problem={problem} {...(mono ? { mono } : {})} className={className}>
      <input
        id={id}
        name={name}
        defaultValue={defaultValue}
        placeholder={placeholder}
        list={list}
        aria-describedby={messageId}
        aria-invalid={problem ? true : undefined}
        autoComplete="off"
      />
    </Field>
  );
}

/** Several lines of text; reports each change when asked to. */
export function TextArea({
  name,
  label,
  defaultValue = '',
  hint,
  placeholder,
  className,
  rows = 3,
  onText,
}: FieldProps & { rows?: number; onText?: (text: string) => void }) {
  const { id, messageId, problem } = useField(name);
  return (
    <Field name={name} label={label} message={hint} problem={problem} mono className={className}>
      <textarea
        id={id}
        name={name}
        rows={rows}
        defaultValue={defaultValue}
        placeholder={placeholder}
        aria-describedby={messageId}
        aria-invalid={problem ? true : undefined}
        onChange={(event) => onText?.(event.target.value)}
      />
    </Field>
  );
}

/** One of a few choices. */
export function SelectField({
  name,
  label,
  defaultValue,
  hint,
  className,
  options,
}: FieldProps & { options: readonly { value: string; label: string }[] }) {
  const { id, messageId, problem } = useField(name);
  return (
    <Field name={name} label={label} message={hint} problem={problem} className={className}>
      <select id={id} name={name} defaultValue={defaultValue} aria-describedby={messageId}>
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </Field>
  );
}

/** Units that a bench instrument reads. */
const READABLE: readonly Unit[] = ['volt', 'ohm', 'farad'];
/** The key that takes a reading into the field that has the focus. */
const TAKE_KEY = 'F8';

/**
 * A quantity in engineering shorthand. It says what it understood while a person types, keeps the
 * text as typed, and puts a refusal in its place. Where an instrument is connected, F8 takes its
 * reading.
 * @param wants what the instrument should read, when it is not the unit itself; `nothing` for a
 * quantity that it cannot
 */
export function QuantityField({
  name,
  label,
  unit,
  defaultValue = '',
  hint,
  placeholder,
  className,
  openWord,
  wants = unit,
  keypad,
  onValue,
}: FieldProps & {
  unit: Unit;
  /** A bare number will do: a phone shows its number keys. */
  keypad?: boolean;
  openWord?: boolean;
  wants?: string;
  onValue?: (value: number | undefined) => void;
}) {
  const { id, messageId, problem } = useField(name);
  const [text, setText] = useState(defaultValue);
  const [left, setLeft] = useState(false);
  const [focused, setFocused] = useState(false);
  const [failure, setFailure] = useState<string>();
  const instrument = useInstrument();
  const readable = instrument.name !== '' && READABLE.includes(unit) && wants !== 'nothing';
  const open = openWord === true && /^(ol|open|inf)$/i.test(text.trim());
  const parsed = text.trim() === '' || open ? undefined : parseQuantity(text, unit);
  const understood = open
    ? 'open, over range'
    : parsed?.ok
      ? `${unit === 'duration' ? formatDuration(parsed.quantity.value) : formatQuantity(parsed.quantity.value, unit, { digits: 4 })}${parsed.quantity.unusual ? ', unusually much: is the unit right?' : ''}`
      : undefined;
  const refused = parsed && !parsed.ok && left ? problemText(parsed.problem) : undefined;
  const change = (next: string) => {
    setText(next);
    setFailure(undefined);
    const now = parseQuantity(next, unit);
    onValue?.(now.ok ? now.quantity.value : undefined);
  };
  async function take(event: KeyboardEvent) {
    if (event.key !== TAKE_KEY || !readable) return;
    event.preventDefault();
    const outcome = await instrument.read(wants, instrument.point);
    if (!outcome.ok) setFailure(outcome.message);
    else if (outcome.reading.value !== null) change(asTyped(outcome.reading, unit, wants));
    else if (openWord) change('OL');
    else setFailure('The meter is over range: OL is no value for this field.');
  }
  return (
    <Field
      name={name}
      label={label}
      message={understood ?? (readable && focused ? `${TAKE_KEY} takes the meter’s reading` : hint)}
      problem={failure ?? refused ?? (understood ? undefined : problem)}
      mono
      className={className}
    >
      <input
        id={id}
        name={name}
        value={text}
        placeholder={placeholder}
        inputMode={keypad ? 'decimal' : 'text'}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        aria-describedby={messageId}
        aria-invalid={(refused ?? problem) ? true : undefined}
        onChange={(event) => change(event.target.value)}
        onKeyDown={(event) => void take(event)}
        onFocus={() => setFocused(true)}
        onBlur={(event) => {
          setFocused(false);
          // A message that appears between press and release would move the pressed button from under the pointer.
          if (!(event.relatedTarget instanceof HTMLButtonElement)) setLeft(true);
        }}
      />
    </Field>
  );
}

/** A reading as a field takes it: volts DC stay volts, so that only a meter in a millivolt range says millivolts. */
function asTyped({ value, resolution, inMillivolts }: InstrumentReading, unit: Unit, wants: string): string {
  if (wants !== 'volt' || inMillivolts || Math.abs(value ?? 0) >= 1) return shorthand(value ?? 0, resolution, unit);
  return `${(value ?? 0).toFixed(Math.max(0, Math.ceil(-Math.log10(resolution))))}V`;
}

/** A reading as a person would type it, with the digits that the instrument gave. */
export function shorthand(value: number, resolution: number, unit: Unit): string {
  return formatQuantity(value, unit, { resolution })
    .replace(/\u00a0/g, '')
    .replace('−', '-');
}

/** A yes or no. */
export function CheckField({ name, label, defaultChecked }: { name: string; label: string; defaultChecked?: boolean }) {
  const { id } = useField(name);
  return (
    <label htmlFor={id} className="flex min-h-[34px] items-center gap-2 text-[13px]">
      <input id={id} type="checkbox" name={name} defaultChecked={defaultChecked} className="size-4 accent-ochre" />
      {label}
    </label>
  );
}

/** The button that sends a form. */
export function SubmitButton({
  children,
  tone,
  name,
  value,
}: {
  children: ReactNode;
  tone?: 'next' | 'quiet' | 'stop';
  name?: string;
  value?: string;
}) {
  const { pending } = useField('submit');
  return (
    <button type="submit" className="btn" data-tone={tone} disabled={pending} name={name} value={value}>
      {children}
    </button>
  );
}
