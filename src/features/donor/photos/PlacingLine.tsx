'use client';

import { splitPin, type BoardPart } from '../../../core/board';

const pinsOf = ({ ref, pins }: BoardPart) => Object.keys(pins).map((name) => `${ref}.${name}`);

/** Where placing begins when every pin has a place already. */
export const firstPin = ([part]: readonly BoardPart[]): string | undefined => (part ? pinsOf(part)[0] : undefined);

/** The next pin that has no place, first on the same part. */
export function pinAfter(
  pin: string | undefined,
  parts: readonly BoardPart[],
  placed: ReadonlySet<string>,
): string | undefined {
  const all = parts.flatMap(pinsOf);
  const from = pin === undefined ? 0 : all.indexOf(pin) + 1;
  return [...all.slice(from), ...all.slice(0, from)].find((name) => !placed.has(name));
}

/** Which pin is placed next, and the other pins of its part. */
export function PlacingLine({
  pin,
  parts,
  placed,
  onPin,
  onLift,
}: {
  pin: string;
  parts: readonly BoardPart[];
  placed: ReadonlySet<string>;
  onPin: (pin: string | undefined) => void;
  onLift: () => void;
}) {
  const [ref] = splitPin(pin);
  const part = parts.find((entry) => entry.ref === ref);
  const choose = (next: BoardPart | undefined) => {
    if (next) onPin(pinsOf(next).find((name) => !placed.has(name)) ?? pinsOf(next)[0]);
  };
  return (
    <p role="status" className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
      <span>
        Point at <span className="ref font-semibold">{pin}</span>, or move it to the middle and press Enter.
      </span>
      <select
        aria-label="Part whose pins are placed"
        value={ref}
        onChange={(event) => choose(parts.find((entry) => entry.ref === event.target.value))}
        className="rounded-[3px] border border-rule-2 bg-lift px-2 py-1"
      >
        {parts.map((entry) => {
          const count = pinsOf(entry).filter((name) => placed.has(name)).length;
          return (
            <option key={entry.ref} value={entry.ref}>
              {entry.ref} {count}/{pinsOf(entry).length}
            </option>
          );
        })}
      </select>
      <span className="flex gap-1">
        {(part ? pinsOf(part) : []).map((name) => (
          <button
            key={name}
            type="button"
            className="pin"
            data-traced={placed.has(name)}
            aria-pressed={name === pin}
            aria-label={`Place ${name}`}
            onClick={() => onPin(name)}
          >
            {splitPin(name)[1]}
          </button>
        ))}
      </span>
      <button type="button" className="btn" data-tone="quiet" onClick={() => onPin(pinAfter(pin, parts, placed))}>
        skip
      </button>
      {part && pinsOf(part).some((name) => placed.has(name)) && (
        <button type="button" className="btn" data-tone="quiet" onClick={onLift}>
          take {ref} off
        </button>
      )}
    </p>
  );
}
