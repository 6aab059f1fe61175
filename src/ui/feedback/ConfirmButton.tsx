'use client';

import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import type { FormOutcome } from '../form/outcome';
import { useAct } from './useAct';

/** A button that asks once before it acts; what it did can be taken back from the notice. */
export function ConfirmButton({
  action,
  title,
  detail,
  confirm,
  children,
  tone = 'quiet',
}: {
  action: () => Promise<FormOutcome>;
  title: string;
  detail: string;
  confirm: string;
  children: ReactNode;
  tone?: 'quiet' | 'stop';
}) {
  const { act, pending } = useAct(action);
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger className="btn" data-tone={tone} disabled={pending}>
        {children}
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
        <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 w-[min(440px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 rounded-[5px] border border-ink bg-lift p-5">
          <AlertDialog.Title className="text-[18px] leading-tight font-semibold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2 text-[13.5px] text-ink-2">{detail}</AlertDialog.Description>
          <div className="mt-5 flex justify-end gap-2">
            <AlertDialog.Cancel className="btn">Leave it</AlertDialog.Cancel>
            <AlertDialog.Action className="btn" data-tone="stop" onClick={act}>
              {confirm}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
