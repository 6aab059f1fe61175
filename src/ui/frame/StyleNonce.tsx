'use client';

import { setNonce } from 'get-nonce';
import { useState } from 'react';

/**
 * Hands the document's nonce to the dialog library, whose scroll lock writes a style element. Only
 * the first one counts: a refreshed page brings a new nonce, but the document keeps its policy.
 */
export function StyleNonce({ nonce }: { nonce: string }) {
  useState(() => {
    if (typeof window !== 'undefined') setNonce(nonce);
  });
  return null;
}
