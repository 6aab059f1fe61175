'use client';

import { useState } from 'react';

/** A column of a list as it was understood. */
export interface ShownColumn {
  readonly heading: string;
  readonly role: string;
  /** By what it was known. */
  readonly by: 'name' | 'alias' | 'content' | 'person' | 'none';
  readonly unit?: string;
  readonly samples: readonly string[];
}

const HOW: Readonly<Record<ShownColumn['by'], string>> = {
  name: 'by its name',
  alias: 'by its heading',
  content: 'by what stands in it',
  person: 'as you said',
  none: 'not understood',
};

/** What each column of a list was understood as, to be put right; and a bin for pieces of which the list says nothing. */
export function SheetColumns({
  columns,
  choices,
  bin,
  isBusy,
  onSay,
}: {
  columns: readonly ShownColumn[];
  /** What a column may be, with what a person is told of it. */
  choices: Readonly<Record<string, string>>;
  /** The bin that was given for all; none where a list of this sort needs no bin. */
  bin?: string;
  isBusy: boolean;
  onSay: (roles: readonly string[], bin: string) => void;
}) {
  const [place, setPlace] = useState(bin ?? '');
  const roles = columns.map(({ role }) => role);
  return (
    <section className="mt-4">
      <h2 className="label mb-1">Columns, and what they are taken for</h2>
      <table className="rows plain" aria-label="Columns of the list">
        <thead>
          <tr>
            <th>heading</th>
            <th>is</th>
            <th>known</th>
            <th>first cells</th>
          </tr>
        </thead>
        <tbody>
          {columns.map(({ heading, role, by, unit, samples }, index) => (
            <tr key={`${index} ${heading}`}>
              <td className="font-mono">{heading || `column ${index + 1}`}</td>
              <td>
                <select
                  className="btn"
                  aria-label={`Column ${heading || index + 1} is`}
                  value={role}
                  disabled={isBusy}
                  onChange={({ target: { value } }) => onSay(roles.with(index, value), place)}
                >
                  {Object.entries(choices).map(([value, label]) => (
                    <option key={value} value={value}>
                      {label}
                    </option>
                  ))}
                </select>
              </td>
              <td className={by === 'none' ? 'text-stop' : 'text-ink-2'}>
                {HOW[by]}
                {unit ? `, in ${unit}` : ''}
              </td>
              <td className="font-mono text-ink-2">{samples.join(' · ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {bin !== undefined && (
        <form
          className="mt-2 flex flex-wrap items-center gap-2 text-[13px]"
          onSubmit={(event) => {
            event.preventDefault();
            onSay(roles, place);
          }}
        >
          <label htmlFor="list-bin">Bin for pieces of which the list says nothing</label>
          <input
            id="list-bin"
            className="h-8 w-28 rounded-[3px] border border-ink bg-lift px-2 font-mono placeholder:text-ink-3"
            value={place}
            placeholder="C2-5"
            onChange={({ target: { value } }) => setPlace(value)}
          />
          <button type="submit" className="btn" disabled={isBusy}>
            Read it so
          </button>
        </form>
      )}
    </section>
  );
}
