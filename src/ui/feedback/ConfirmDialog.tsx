'use client';

import { AlertDialog } from 'radix-ui';

/** Asks once before something is done. Loaded when it is first asked for. */
export default function ConfirmDialog({
  title,
  detail,
  confirm,
  cancel = 'Cancel',
  onConfirm,
  onClose,
}: {
  title: string;
  detail: string;
  confirm: string;
  cancel?: string;
  onConfirm: () => void;
  onClose: () => void;
}) {
  return (
    <AlertDialog.Root defaultOpen onOpenChange={onClose}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
        <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 w-[min(440px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 rounded-[5px] border border-ink bg-lift p-5">
          <AlertDialog.Title className="text-[18px] leading-tight font-semibold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2 text-[13.5px] text-ink-2">{detail}</AlertDialog.Description>
          <div className="mt-5 flex justify-end gap-2">
            <AlertDialog.Cancel className="btn">{cancel}</AlertDialog.Cancel>
            <AlertDialog.Action className="btn" data-tone="stop" onClick={onConfirm}>
              {confirm}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
