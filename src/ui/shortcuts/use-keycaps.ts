'use client';

import { useEffect, useState } from 'react';

interface LayoutMap {
  get(code: string): string | undefined;
}

/** Letters that stand on places of this keyboard (`KeyW` → w on one layout, z on another); the code's own letter until known. */
export function useKeycaps(): (code: string) => string {
  const [layout, setLayout] = useState<LayoutMap | undefined>();
  useEffect(() => {
    const { keyboard } = navigator as Navigator & { keyboard?: { getLayoutMap(): Promise<LayoutMap> } };
    let here = true;
    keyboard?.getLayoutMap().then(
      (map) => here && setLayout(map),
      () => undefined,
    );
    return () => void (here = false);
  }, []);
  return (code) => layout?.get(code) ?? code.replace('Key', '').toLowerCase();
}
