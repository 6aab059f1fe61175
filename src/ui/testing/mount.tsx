import { configure, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { AppRouterContext, type AppRouterInstance } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ReactNode } from 'react';
import { Notices, NoticeStrip } from '../feedback/Notices';
import type { FormOutcome } from '../form/outcome';
import { ShortcutRoot } from '../frame/Shortcuts';

// What is loaded when it is first asked for takes its time on a busy machine.
configure({ asyncUtilTimeout: 15_000 });
jest.setTimeout(60_000);

// jsdom has no windows of any width: tests are of the desk unless they say otherwise.
window.matchMedia ??= () => ({ matches: false }) as unknown as MediaQueryList;

/** Shows something as it stands in the application, with a router that only remembers, notices and keys. */
export function mount(
  shown: ReactNode,
  { undo = (_id: string): Promise<FormOutcome> => Promise.resolve({ ok: true }) } = {},
) {
  const router = {
    push: jest.fn(),
    replace: jest.fn(),
    refresh: jest.fn(),
    back: jest.fn(),
    forward: jest.fn(),
    prefetch: jest.fn(),
  } satisfies Record<string, jest.Mock>;
  const framed = (content: ReactNode) => (
    <AppRouterContext value={router as unknown as AppRouterInstance}>
      <Notices undo={undo} redo={undo}>
        <ShortcutRoot>{content}</ShortcutRoot>
        <NoticeStrip />
      </Notices>
    </AppRouterContext>
  );
  const { rerender, ...rest } = render(framed(shown));
  return { ...rest, router, user: userEvent.setup(), show: (next: ReactNode) => rerender(framed(next)) };
}

/** A promise that a test settles when it wants the answer to come. */
export function answerLater<T>() {
  let settle: (value: T) => void = () => undefined;
  let fail: (reason: Error) => void = () => undefined;
  const promise = new Promise<T>((resolve, reject) => {
    settle = resolve;
    fail = reject;
  });
  return { promise, settle, fail };
}
