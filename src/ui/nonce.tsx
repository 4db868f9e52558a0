'use client';

import { getNonce, setNonce } from 'get-nonce';
import type { ReactNode } from 'react';

/**
 * Hands the page's nonce to whatever adds style elements later (dialogs lock the scroll that way). The first one stays:
 * a refresh brings the nonce of another answer, and the page goes on under the policy that it was loaded with.
 */
export function NonceProvider({ nonce, children }: { nonce?: string; children: ReactNode }) {
  if (nonce !== undefined && getNonce() === undefined) setNonce(nonce);
  return children;
}
