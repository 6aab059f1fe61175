'use client';

import { Dialog } from 'radix-ui';
import { useRouter } from 'next/navigation';
import { createContext, use, useEffect, useState, type ReactNode } from 'react';

export interface Shortcut {
  /** One character as `KeyboardEvent.key` gives it. */
  readonly key: string;
  readonly label: string;
  /** Where it leads, or the id of the element it puts the focus on or presses. */
  readonly href?: string;
  readonly focus?: string;
  readonly press?: string;
}

/** A line a person may type on a screen, and what it does. */
export interface LineHelp {
  readonly line: string;
  readonly means: string;
}

interface Help {
  readonly keys: readonly Shortcut[];
  readonly lines: readonly LineHelp[];
}

interface Registry {
  add(help: Help): () => void;
}

const ShortcutContext = createContext<Registry>({ add: () => () => undefined });

/** Listens for the keys that the present screen registered; `?` shows them. Keys typed into a field are left alone. */
export function ShortcutRoot({ children }: { children: ReactNode }) {
  const [sets, setSets] = useState<readonly Help[]>([]);
  const [open, setOpen] = useState(false);
  const [registry] = useState<Registry>(() => ({
    add(help) {
      setSets((present) => [...present, help]);
      return () => setSets((present) => present.filter((set) => set !== help));
    },
  }));
  const router = useRouter();
  const shortcuts = sets.flatMap(({ keys }) => keys);
  const lines = sets.flatMap((set) => set.lines);

  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const target = event.target as HTMLElement;
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        target.closest('input, textarea, select, [role=alertdialog]')
      )
        return;
      if (event.key === '?') {
        event.preventDefault();
        setOpen(true);
        return;
      }
      const found = sets.flatMap(({ keys }) => keys).find(({ key }) => key === event.key);
      if (!found) return;
      event.preventDefault();
      if (found.href) router.push(found.href);
      if (found.focus) document.getElementById(found.focus)?.focus();
      if (found.press) document.getElementById(found.press)?.click();
    }
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [sets, router]);

  return (
    <ShortcutContext value={registry}>
      {children}
      <Dialog.Root open={open} onOpenChange={setOpen}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-1/2 left-1/2 z-50 max-h-[86dvh] w-[min(680px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-[5px] border border-ink bg-lift p-5"
          >
            <Dialog.Title className="text-[18px] font-semibold">Keys of this screen</Dialog.Title>
            <dl className="dotted mt-3 text-[13.5px]">
              {[...shortcuts, { key: '?', label: 'show this' }, { key: 'Esc', label: 'leave a field or close' }].map(
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
    </ShortcutContext>
  );
}

/** Registers the keys of a screen, and what its line understands, for as long as it is shown. */
export function Shortcuts({ keys, lines = [] }: { keys: readonly Shortcut[]; lines?: readonly LineHelp[] }) {
  const { add } = use(ShortcutContext);
  const text = JSON.stringify({ keys, lines });
  useEffect(() => add(JSON.parse(text) as Help), [add, text]);
  return null;
}
