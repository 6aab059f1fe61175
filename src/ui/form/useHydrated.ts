'use client';

import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether the page has come alive: what is typed or sent before that would be lost. */
export function useHydrated(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
