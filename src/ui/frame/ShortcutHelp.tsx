'use client';

import { Dialog } from 'radix-ui';
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
  return (
    <Dialog.Root defaultOpen onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
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
              <h3 className="mt-5 text-[15px] font-semibold">What the line understands</h3>
              <dl className="dotted mt-1 text-[13px]">
                {lines.map(({ line, means }) => (
                  <div key={line} className="grid grid-cols-[minmax(0,270px)_1fr] gap-3 py-1.5">
                    <dt className="font-mono">{line}</dt>
                    <dd className="text-ink-2">{means}</dd>
                  </div>
                ))}
              </dl>
            </>
          )}
          <Dialog.Close className="btn mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
