'use client';

import { useState, type ReactNode } from 'react';
import { PinOutline } from './PinOutline';

type Legs = Parameters<typeof PinOutline>[0]['legs'];

/**
 * An outline seen from either side, with what is known of the chosen leg below it.
 * @param sides the two views, by name
 */
export function ChosenPin({
  label,
  style,
  sides,
  names,
  first,
  details,
}: {
  label: string;
  style: 'dual' | 'row';
  sides: readonly { readonly name: string; readonly legs: Legs }[];
  names: readonly (readonly [number, string])[];
  /** The leg that is chosen at first. */
  first: number | undefined;
  /** What is shown of each leg, by number. */
  details: Readonly<Record<number, ReactNode>>;
}) {
  const [side, setSide] = useState(0);
  const [chosen, setChosen] = useState(first);
  const seen = sides[side] ?? sides[0];
  if (!seen) return null;
  return (
    <div>
      <div role="group" aria-label="Seen from" className="mb-1 flex gap-1.5 text-[12.5px]">
        {sides.map(({ name }, index) => (
          <button
            key={name}
            type="button"
            className="btn"
            data-tone="quiet"
            aria-pressed={index === side}
            onClick={() => setSide(index)}
          >
            {index === side ? <b>{name}</b> : name}
          </button>
        ))}
      </div>
      <PinOutline
        label={`${label}, seen from ${seen.name}`}
        style={style}
        legs={seen.legs}
        names={new Map(names)}
        chosen={chosen}
        onChoose={setChosen}
      />
      <div aria-live="polite" className="min-h-[92px] text-[13px] leading-snug">
        {chosen === undefined ? 'Choose a pin.' : details[chosen]}
      </div>
    </div>
  );
}
