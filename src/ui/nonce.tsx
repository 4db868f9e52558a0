'use client';

import { setNonce } from 'get-nonce';
import type { ReactNode } from 'react';

/** Hands the page's nonce to whatever adds style elements later (dialogs lock the scroll that way). */
export function NonceProvider({ nonce, children }: { nonce?: string; children: ReactNode }) {
  if (nonce !== undefined) setNonce(nonce);
  return children;
}
