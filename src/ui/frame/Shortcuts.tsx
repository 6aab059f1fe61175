'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { createContext, use, useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { leave } from '../form/unsaved';
import { onHelpAsked } from './openHelp';
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
  const sets = useRef(new Set<Help>());
  /** What the help lists while it is open. */
  const [help, setHelp] = useState<readonly Help[]>();
  const [registry] = useState<Registry>(() => ({
    add(set) {
      sets.current.add(set);
      return () => void sets.current.delete(set);
    },
  }));
  const router = useRouter();

  useEffect(() => onHelpAsked(() => setHelp([...sets.current])), []);
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const target = event.target as HTMLElement;
      // Esc leaves a field, so that the keys of the screen work again; a window that is open takes it for itself.
      if (event.key === 'Escape' && !event.defaultPrevented && target.matches('input, textarea, select'))
        if (!target.closest('[role=dialog], [role=alertdialog]')) target.blur();
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        target.closest('input, textarea, select, [role=alertdialog]')
      )
        return;
      const present = [...sets.current];
      if (event.key === '?') {
        event.preventDefault();
        setHelp(present);
        return;
      }
      const found = present.flatMap(({ keys }) => keys).find(({ key }) => key === event.key);
      // A window that closes by a key has used it up.
      if (!found || event.defaultPrevented) return;
      // A key that was meant for a field must not carry the page away from what is being typed.
      if (found.href && isRowBegun()) return;
      event.preventDefault();
      const { href } = found;
      if (href) leave(() => router.push(href));
      if (found.focus) fieldOf(found.focus)?.focus();
      if (found.press) document.getElementById(found.press)?.click();
    }
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [router]);

  return (
    <ShortcutContext value={registry}>
      {children}
      {help && (
        <ShortcutHelp
          keys={help.flatMap(({ keys }) => keys)}
          lines={help.flatMap(({ lines }) => lines)}
          onClose={() => setHelp(undefined)}
        />
      )}
    </ShortcutContext>
  );
}

/** The element with an id, or the first field in it. */
function fieldOf(id: string): HTMLElement | null {
  const spot = document.getElementById(id);
  return spot?.matches('div, span') ? spot.querySelector<HTMLElement>('input, textarea') : spot;
}

/** Whether a form is on its way to the server, or holds what was typed and not yet sent. */
function isRowBegun(): boolean {
  if (document.querySelector('form[data-sending]')) return true;
  return [...document.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('form input, form textarea')].some(
    (field) => TYPED.has(field.type) && field.value !== field.defaultValue,
  );
}
const TYPED: ReadonlySet<string> = new Set(['text', 'textarea', 'search', 'number']);

/** Registers the keys of a screen, and what its line understands, for as long as it is shown. */
export function Shortcuts({ keys, lines = [] }: { keys: readonly Shortcut[]; lines?: readonly LineHelp[] }) {
  const { add } = use(ShortcutContext);
  const text = JSON.stringify({ keys, lines });
  // Before the screen is painted: a key works as soon as its button can be seen.
  useLayoutEffect(() => add(JSON.parse(text) as Help), [add, text]);
  return null;
}
