'use client';

import { useId, useState } from 'react';
import type { BoardNameplate } from '../../../../core/board';
import { parseQuantity, problemText } from '../../../../core/quantity';
import { shown } from './present';

/** What an input of a board may be typed as, volt. */
const LEAST = 1;
const MOST = 500;

/** The volts at the input: typed, or an end of what the plate allows. */
export function InputVolts({
  plate,
  value,
  isBusy,
  onValue,
}: {
  plate: BoardNameplate['input'];
  value: number | undefined;
  isBusy: boolean;
  onValue: (volts: number) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const ends = [...new Set([plate?.vMin, plate?.vMax])].filter((one) => one !== undefined);

  function take(text: string) {
    const read = parseQuantity(text, 'volt');
    if (!read.ok) {
      setProblem(problemText(read.problem));
      return;
    }
    if (read.quantity.value < LEAST || read.quantity.value > MOST) {
      setProblem(`${text} is out of range: ${LEAST} to ${MOST} V.`);
      return;
    }
    setProblem(undefined);
    setTyped(undefined);
    onValue(read.quantity.value);
  }

  return (
    <div className="knob" data-problem={problem ? '' : undefined}>
      <label htmlFor={id}>input, {plate?.kind === 'dc' ? 'DC' : 'AC'}</label>
      <div className="flex items-baseline gap-3">
        <input
          id={id}
          className="q max-w-24"
          value={typed ?? (value === undefined ? '' : shown(value, 'volt'))}
          autoComplete="off"
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
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
        {ends.map((end, index) => (
          <button key={end} type="button" className="knob-hand" disabled={isBusy} onClick={() => onValue(end)}>
            {ends.length === 1 ? 'as on the plate' : index === 0 ? 'lowest' : 'highest'}, {shown(end, 'volt')}
          </button>
        ))}
      </div>
      {problem && (
        <p id={`${id}-problem`} className="knob-problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}
