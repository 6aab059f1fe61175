'use client';

import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A form over the page. Loaded when it is first asked for. */
export default function FormDialog({
  title,
  children,
  onClose,
}: {
  title: string;
  children: ReactNode;
  onClose: () => void;
}) {
  return (
    <Dialog.Root defaultOpen onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[46%] left-1/2 z-50 max-h-[88dvh] w-[min(640px,calc(100vw-24px))] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-[5px] border border-ink bg-lift p-5"
        >
          <Dialog.Title className="mb-3 text-[18px] leading-tight font-semibold">{title}</Dialog.Title>
          {children}
          <Dialog.Close className="btn absolute top-4 right-4" data-tone="quiet">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
