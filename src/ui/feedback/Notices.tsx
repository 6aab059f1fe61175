'use client';

import { useRouter } from 'next/navigation';
import { createContext, use, useEffect, useState, useTransition, type ReactNode } from 'react';
import type { FormOutcome } from '../form/outcome';

interface Notice {
  readonly message: string;
  /** What to hand to the undo action. */
  readonly undo?: string;
  /** What to hand to the redo action. */
  readonly redo?: string;
}

const NoticeContext = createContext<{
  readonly notice?: Notice | undefined;
  readonly show: (notice: Notice | undefined) => void;
  readonly takeBack: (id: string) => void;
  readonly doAgain: (id: string) => void;
}>({
  show: () => undefined,
  takeBack: () => undefined,
  doAgain: () => undefined,
});

/** Shows one line after an action, with a way back when there is one. */
export function useNotice() {
  return use(NoticeContext).show;
}

/** The strip above the foot of a page that says what was just done; it covers nothing. */
export function NoticeStrip() {
  const { notice, show, takeBack, doAgain } = use(NoticeContext);
  return (
    <div role="status" aria-live="polite" className="no-print">
      {notice && (
        <div className="flex items-center gap-3 border-t border-ink bg-ink px-[22px] py-1 text-[13px] text-sheet max-[899px]:px-4">
          <span className="min-w-0 flex-1">{notice.message}</span>
          {notice.undo && <NoticeButton onPress={() => takeBack(notice.undo ?? '')}>Undo</NoticeButton>}
          {notice.redo && <NoticeButton onPress={() => doAgain(notice.redo ?? '')}>Redo</NoticeButton>}
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

function NoticeButton({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="min-h-8 max-[899px]:min-h-11 rounded-[3px] border border-sheet px-2.5 font-semibold"
    >
      {children}
    </button>
  );
}

/** Takes a recorded step back, and says what came of it. */
export function useTakeBack() {
  return use(NoticeContext).takeBack;
}

/** How long a notice stands before it makes room, in milliseconds; a step can be undone later by the bench line. */
const STANDS = 12_000;

/** Holds the line that says what was just done; a new one takes the place of the old. */
export function Notices({
  children,
  undo,
  redo,
}: {
  children: ReactNode;
  undo: (id: string) => Promise<FormOutcome>;
  redo: (id: string) => Promise<FormOutcome>;
}) {
  const [notice, setNotice] = useState<Notice>();
  const [pending, start] = useTransition();
  const router = useRouter();

  useEffect(() => {
    if (!notice || pending) return;
    const timer = setTimeout(() => setNotice(undefined), STANDS);
    return () => clearTimeout(timer);
  }, [notice, pending]);

  function step(message: string, work: () => Promise<FormOutcome>) {
    setNotice({ message });
    start(async () => {
      const outcome = await work();
      setNotice(
        outcome.ok
          ? {
              message: outcome.message ?? 'Done.',
              ...(outcome.undo ? { undo: outcome.undo } : {}),
              ...(outcome.redo ? { redo: outcome.redo } : {}),
            }
          : { message: outcome.problems.map((problem) => problem.message).join(' ') },
      );
      router.refresh();
    });
  }
  const takeBack = (id: string) => step('Taking it back …', () => undo(id));
  const doAgain = (id: string) => step('Doing it again …', () => redo(id));

  return <NoticeContext value={{ notice, show: setNotice, takeBack, doAgain }}>{children}</NoticeContext>;
}
