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
  readonly notice?: Notice | undefined;
  readonly show: (notice: Notice | undefined) => void;
  readonly takeBack: (id: string) => void;
}>({
  show: () => undefined,
  takeBack: () => undefined,
});

/** Shows one line after an action, with a way back when there is one. */
export function useNotice() {
  return use(NoticeContext).show;
}

/** The strip above the foot of a page that says what was just done; it covers nothing. */
export function NoticeStrip() {
  const { notice, show, takeBack } = use(NoticeContext);
  return (
    <div role="status" aria-live="polite" className="no-print">
      {notice && (
        <div className="flex items-center gap-3 border-t border-ink bg-ink px-[22px] py-1 text-[13px] text-sheet max-[899px]:px-4">
          <span className="min-w-0 flex-1">{notice.message}</span>
          {notice.undo && (
            <button
              type="button"
              onClick={() => takeBack(notice.undo ?? '')}
              className="min-h-8 max-[899px]:min-h-11 rounded-[3px] border border-sheet px-2.5 font-semibold"
            >
              Undo
            </button>
          )}
          <button
            type="button"
            aria-label="Dismiss"
            onClick={() => show(undefined)}
            className="min-h-8 min-w-8 text-[15px] max-[899px]:min-h-11 max-[899px]:min-w-11"
          >
            ×
          </button>
        </div>
      )}
    </div>
  );
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

  return <NoticeContext value={{ notice, show: setNotice, takeBack }}>{children}</NoticeContext>;
}
