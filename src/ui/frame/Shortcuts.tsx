'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { createContext, use, useEffect, useState, type ReactNode } from 'react';
import type { LineHelp, Shortcut } from './shortcut';

interface Help {
  readonly keys: readonly Shortcut[];
  readonly lines: readonly LineHelp[];
}

interface Registry {
  add(help: Help): () => void;
}

const ShortcutHelp = dynamic(() => import('./ShortcutHelp'), { ssr: false });

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
      {open && <ShortcutHelp keys={shortcuts} lines={lines} onClose={() => setOpen(false)} />}
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
