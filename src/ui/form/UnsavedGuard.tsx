'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { hasUnsaved, leave, onLeaving } from './unsaved';

const ConfirmDialog = dynamic(() => import('../feedback/ConfirmDialog'), { ssr: false });

/** Asks before a page with something typed and not kept is left: by a link, a key, or the browser's own ways. */
export function UnsavedGuard() {
  const router = useRouter();
  const [going, setGoing] = useState<{ readonly go: () => void }>();

  useEffect(() => onLeaving((go) => setGoing({ go })), []);
  useEffect(() => {
    function onUnload(event: BeforeUnloadEvent) {
      if (hasUnsaved()) event.preventDefault();
    }
    function onClick(event: MouseEvent) {
      const link = (event.target as HTMLElement).closest('a');
      const isOther = event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey;
      if (!link || isOther || !hasUnsaved() || link.target !== '' || link.hasAttribute('download')) return;
      const { origin, pathname, search, hash } = new URL(link.href, location.href);
      if (origin !== location.origin || (pathname === location.pathname && search === location.search)) return;
      event.preventDefault();
      event.stopPropagation();
      leave(() => router.push(`${pathname}${search}${hash}`));
    }
    window.addEventListener('beforeunload', onUnload);
    document.addEventListener('click', onClick, true);
    return () => {
      window.removeEventListener('beforeunload', onUnload);
      document.removeEventListener('click', onClick, true);
    };
  }, [router]);

  if (!going) return null;
  return (
    <ConfirmDialog
      title="Leave without keeping what you typed?"
      detail="What you changed on this page is not kept yet. Stay and press its button to keep it."
      confirm="Leave without it"
      cancel="Stay"
      onConfirm={going.go}
      onClose={() => setGoing(undefined)}
    />
  );
}
