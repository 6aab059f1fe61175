'use client';

import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { typeLine } from './typedLine';
import type { LineHelp, Shortcut } from './shortcut';

/** The keys of a screen and what its line understands. Loaded when it is first asked for. */
export default function ShortcutHelp({
  keys,
  lines,
  onClose,
}: {
  keys: readonly Shortcut[];
  lines: readonly LineHelp[];
  onClose: () => void;
}) {
  const [query, setQuery] = useState('');
  /** The line that was chosen, to be typed once the window is gone. */
  const chosen = useRef<string>(undefined);
  const words = query.toLowerCase().split(/\s+/);
  const found = lines.filter(({ line, means }) =>
    words.every((word) => `${line} ${means}`.toLowerCase().includes(word)),
  );
  return (
    <Dialog.Root defaultOpen onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            if (chosen.current === undefined) return;
            event.preventDefault();
            typeLine(chosen.current);
          }}
          className="fixed top-1/2 left-1/2 z-50 max-h-[86dvh] w-[min(680px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-[5px] border border-ink bg-lift p-5"
        >
          <Dialog.Title className="text-[18px] font-semibold">Keys of this screen</Dialog.Title>
          <dl className="dotted mt-3 text-[13.5px]">
            {[...keys, { key: '?', label: 'show this' }, { key: 'Esc', label: 'leave a field or close' }].map(
              ({ key, label }) => (
                <div key={key + label} className="grid grid-cols-[64px_1fr] gap-3 py-1.5">
                  <dt>
                    <kbd>{key}</kbd>
                  </dt>
                  <dd>{label}</dd>
                </div>
              ),
            )}
          </dl>
          {lines.length > 0 && (
            <>
              <div className="mt-5 flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1.5">
                <h3 className="text-[15px] font-semibold">What the line understands</h3>
                <input
                  type="search"
                  aria-label="Search the examples"
                  placeholder="search"
                  value={query}
                  onChange={(event) => setQuery(event.target.value)}
                  className="w-[200px] rounded-[3px] border border-rule-2 bg-sheet px-2 py-1 text-[13px]"
                />
              </div>
              <p className="mt-1 text-[12.5px] text-ink-2">
                Your own words will do; these are examples. One that you press is put into the line.
              </p>
              <dl className="dotted mt-1 text-[13px]">
                {found.map(({ line, means }) => (
                  <div key={line} className="grid grid-cols-[minmax(0,270px)_1fr] items-baseline gap-3 py-1">
                    <dt>
                      <Dialog.Close
                        className="min-h-8 text-left font-mono underline decoration-dotted underline-offset-4 max-[899px]:min-h-11"
                        onClick={() => (chosen.current = line)}
                      >
                        {line}
                      </Dialog.Close>
                    </dt>
                    <dd className="text-ink-2">{means}</dd>
                  </div>
                ))}
              </dl>
              {found.length === 0 && <p className="mt-2 text-[13px]">No example has these words.</p>}
            </>
          )}
          <Dialog.Close className="btn mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
