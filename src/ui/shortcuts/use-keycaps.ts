'use client';

import { useCallback, useEffect, useState } from 'react';

const NAME = 'mellow-keycaps';

type Keycaps = Readonly<Record<string, string>>;

function readKept(): Keycaps {
  try {
    return JSON.parse(localStorage.getItem(NAME) ?? '{}') as Keycaps;
  } catch {
    return {};
  }
}

/**
 * Letters that stand on places of this keyboard (`KeyW` → w on one layout, z on another), learned from the keys that are
 * pressed and remembered; the code's own letter until then. Asking the browser for its layout map instead stalled
 * typing for seconds in one of them, and others have none.
 */
export function useKeycaps(): (code: string) => string {
  const [caps, setCaps] = useState<Keycaps>({});
  useEffect(() => {
    const timer = setTimeout(() => setCaps(readKept()), 0);
    const learn = ({ code, key, shiftKey }: KeyboardEvent) => {
      if (!code.startsWith('Key') || key.length !== 1 || shiftKey) return;
      setCaps((known) => {
        if ((known[code] ?? code.slice(3).toLowerCase()) === key) return known;
        const next = { ...known, [code]: key };
        localStorage.setItem(NAME, JSON.stringify(next));
        return next;
      });
    };
    window.addEventListener('keydown', learn);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('keydown', learn);
    };
  }, []);
  return useCallback((code) => caps[code] ?? code.slice(3).toLowerCase(), [caps]);
}
