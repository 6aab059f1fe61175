'use client';

import { useState } from 'react';
import { findWindings, parseOhms } from '../../../core/magnetics';
import { TextArea } from '../../../ui/form/fields';

/** Ohms between the pins of a transformer; which belong together shows while a person types. */
export function OhmTable() {
  const [text, setText] = useState('');
  const { readings, problems } = parseOhms(text);
  const found = findWindings(readings);
  return (
    <div className="col-span-full grid grid-cols-[minmax(200px,1fr)_2fr] gap-x-5 max-[620px]:grid-cols-1">
      <TextArea
        name="ohms"
        label="ohms between its pins, one reading a line"
        placeholder={'1-2 1.2\n3-4 0.4\n1-3 OL'}
        rows={4}
        onText={setText}
      />
      <div className="pt-5 text-[13px]" aria-live="polite">
        {problems.map(({ line, message }) => (
          <p key={line} className="text-stop">
            Line {line}: {message}
          </p>
        ))}
        {found.windings.map(({ pins, guess }) => (
          <p key={pins.join()}>
            <span className="q">{pins.join(' – ')}</span> is one winding, the {guess} by its ohms
          </p>
        ))}
        {found.problems.map((problem) => (
          <p key={problem} className="text-stop">
            {problem}
          </p>
        ))}
        {found.ask[0] && (
          <p className="text-ink-2">
            Read next:{' '}
            <span className="q">
              {found.ask
                .slice(0, 3)
                .map((pair) => pair.join('-'))
                .join(', ')}
            </span>
          </p>
        )}
      </div>
    </div>
  );
}
