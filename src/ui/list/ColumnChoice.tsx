'use client';

import { Popover } from 'radix-ui';

export interface ColumnChoiceProps {
  readonly columns: readonly { readonly id: string; readonly label: string; readonly shown: boolean }[];
  readonly onChoose: (id: string, shown: boolean) => void;
}

/** Which columns of a table are shown. Loaded when it is first asked for, and open from then. */
export default function ColumnChoice({ columns, onChoose }: ColumnChoiceProps) {
  return (
    <Popover.Root modal={false} defaultOpen>
      <Popover.Trigger className="btn" data-tone="quiet">
        columns
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          aria-label="Columns"
          className="z-40 rounded-[4px] border border-ink bg-lift px-4 py-2 text-[13px]"
        >
          {columns.map(({ id, label, shown }) => (
            <label key={id} className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-ochre"
                checked={shown}
                onChange={(event) => onChoose(id, event.target.checked)}
              />
              {label}
            </label>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
