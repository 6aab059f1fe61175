'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { OWN_STEP } from './useCommand';

/** How often it is asked whether others changed something, in milliseconds. */
const EVERY = 3000;

/**
 * Shows the page as it is now when another window has changed something; what is being typed stays. The page asks only while it
 * is looked at, and does not follow its own steps, after which it is shown anew anyway.
 */
export function Follow({ address }: { address: string }) {
  const router = useRouter();
  useEffect(() => {
    let known: string | undefined;
    let isGone = false;
    const ask = async (): Promise<string | undefined> => {
      const answer = await fetch(address, { cache: 'no-store' }).catch(() => undefined);
      const told: unknown = answer?.ok ? await answer.json().catch(() => undefined) : undefined;
      return typeof told === 'object' && told !== null && 'mark' in told ? String(told.mark) : undefined;
    };
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      const mark = await ask();
      if (isGone || mark === undefined || mark === known) return;
      if (known !== undefined) router.refresh();
      known = mark;
    };
    const own = async () => {
      const mark = await ask();
      if (!isGone && mark !== undefined) known = mark;
    };
    const look_ = () => void look();
    const own_ = () => void own();
    look_();
    const timer = setInterval(look_, EVERY);
    document.addEventListener('visibilitychange', look_);
    window.addEventListener(OWN_STEP, own_);
    return () => {
      isGone = true;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look_);
      window.removeEventListener(OWN_STEP, own_);
    };
  }, [address, router]);
  return null;
}
