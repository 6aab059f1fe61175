'use client';

import { useRouter } from 'next/navigation';
import { createContext, use, useEffect, useState, useTransition, type ReactNode } from 'react';
import type { FormOutcome } from '../form/outcome';

interface Notice {
  readonly message: string;
  /** What to hand to the undo action. */
  readonly undo?: string;
}

const NoticeContext = createContext<{
  readonly show: (notice: Notice) => void;
  readonly takeBack: (id: string) => void;
}>({
  show: () => undefined,
  takeBack: () => undefined,
});

/** Shows one line after an action, with a way back when there is one. */
export function useNotice() {
  return use(NoticeContext).show;
}

/** Takes a recorded step back, and says what came of it. */
export function useTakeBack() {
  return use(NoticeContext).takeBack;
}

/** How long a notice stands before it makes room, in milliseconds; a step can be undone later by the bench line. */
const STANDS = 12_000;

/** Holds the line that says what was just done; a new one takes the place of the old. */
export function Notices({ children, undo }: { children: ReactNode; undo: (id: string) => Promise<FormOutcome> }) {
  const [notice, setNotice] = useState<Notice>();
  const [pending, start] = useTransition();
  const router = useRouter();

  useEffect(() => {
    if (!notice || pending) return;
    const timer = setTimeout(() => setNotice(undefined), STANDS);
    return () => clearTimeout(timer);
  }, [notice, pending]);

  function takeBack(id: string) {
    setNotice({ message: 'Taking it back …' });
    start(async () => {
      const outcome = await undo(id);
      setNotice({
        message: outcome.ok ? (outcome.message ?? 'Undone.') : outcome.problems.map(({ message }) => message).join(' '),
      });
      router.refresh();
    });
  }

  return (
    <NoticeContext value={{ show: setNotice, takeBack }}>
      {children}
      <div
        role="status"
        aria-live="polite"
        className="no-print pointer-events-none fixed inset-x-0 bottom-24 z-40 flex justify-center px-4"
      >
        {notice && (
          <div className="pointer-events-auto flex max-w-[640px] items-center gap-3 rounded-[4px] border border-ink bg-ink py-1.5 pr-2 pl-4 text-[13px] text-sheet">
            <span>{notice.message}</span>
            {notice.undo && (
              <button
                type="button"
                onClick={() => takeBack(notice.undo ?? '')}
                className="min-h-8 rounded-[3px] border border-sheet px-2.5 font-semibold"
              >
                Undo
              </button>
            )}
            <button
              type="button"
              aria-label="Dismiss"
              onClick={() => setNotice(undefined)}
              className="min-h-8 min-w-8 text-[15px]"
            >
              ×
            </button>
          </div>
        )}
      </div>
    </NoticeContext>
  );
}
