'use client';

import { setNonce } from 'get-nonce';

/** Hands the page's nonce to the dialog library, whose scroll lock writes a style element. */
export function StyleNonce({ nonce }: { nonce: string }) {
  setNonce(nonce);
  return null;
}
