'use client';

import { memo, useId, useState } from 'react';
import { parseQuantity, problemText } from '../../core/quantity';
import type { Knob } from '../../core/whatif';
import { shareOf, valueAt } from './address';
import { knobText } from './present';

const STEPS = 240;

/** A value that is turned with a slider or typed. */
export const KnobField = memo(function KnobField({
  knob,
  value,
  onValue,
}: {
  knob: Knob;
  value: number;
  onValue: (knob: string, value: number) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();

  function take(text: string) {
    const read = readTyped(knob, text);
    if (typeof read === 'string') {
      setProblem(read);
      return;
    }
    setProblem(undefined);
    setTyped(undefined);
    onValue(knob.id, read);
  }

  return (
    <div className="knob" data-problem={problem ? '' : undefined}>
      <label htmlFor={id}>{knob.label}</label>
      <input
        id={id}
        className="q"
        value={typed ?? knobText(knob, value)}
        autoComplete="off"
        spellCheck={false}
        aria-describedby={problem ? `${id}-problem` : undefined}
        aria-invalid={problem ? true : undefined}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={() => typed !== undefined && take(typed)}
        onKeyDown={({ key }) => {
          if (key === 'Enter' && typed !== undefined) take(typed);
          if (key === 'Escape') {
            setTyped(undefined);
            setProblem(undefined);
          }
        }}
      />
      <input
        type="range"
        min={0}
        max={STEPS}
        step={1}
        value={Math.round(shareOf(knob, value) * STEPS)}
        aria-label={`${knob.label}, slider`}
        aria-valuetext={knobText(knob, value)}
        onChange={({ target }) => {
          setTyped(undefined);
          setProblem(undefined);
          onValue(knob.id, valueAt(knob, Number(target.value) / STEPS));
        }}
      />
      {problem ? (
        <p id={`${id}-problem`} className="knob-problem" role="alert">
          {problem}
        </p>
      ) : (
        <p className="knob-ends" aria-hidden="true">
          {endsText(knob).map((text) => (
            <span key={text}>{text}</span>
          ))}
        </p>
      )}
    </div>
  );
});

/** Both ends of the span; a unit that they share stands once, as there is little room. */
function endsText(knob: Knob): readonly string[] {
  const [from, to] = [knobText(knob, knob.from), knobText(knob, knob.to)];
  const [number = '', unit] = from.split(' ');
  return [unit !== undefined && to.endsWith(` ${unit}`) ? number : from, to];
}

/** A typed value, or what is wrong with it. */
function readTyped(knob: Knob, text: string): number | string {
  const { from, to, unit } = knob;
  const range = `${knobText(knob, from)} to ${knobText(knob, to)} is expected`;
  const parsed = parseQuantity(text, unit);
  if (!parsed.ok) return problemText(parsed.problem);
  const { value } = parsed.quantity;
  return value < from || value > to ? `“${text.trim()}”: ${range}.` : value;
}
