'use client';

import { useEffect, useState } from 'react';

const TOKENS = ['ink', 'soft', 'hair', 'juniper', 'plum', 'teal', 'honey', 'band', 'sheet', 'edge'] as const;

/** The colours of the program as a canvas needs them. */
export type Ink = Readonly<Record<(typeof TOKENS)[number], string>>;

function readInk(): Ink {
  const style = getComputedStyle(document.documentElement);
  return Object.fromEntries(
    TOKENS.map((token) => [token, style.getPropertyValue(`--${token}`).trim()]),
  ) as Ink;
}

/** Colours of the theme that is on, for charts; undefined until the page is there. */
export function useInk(): Ink | undefined {
  const [ink, setInk] = useState<Ink | undefined>();
  useEffect(() => {
    const read = () => setInk(readInk());
    const timer = setTimeout(read, 0);
    const observer = new MutationObserver(read);
    observer.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => {
      clearTimeout(timer);
      observer.disconnect();
    };
  }, []);
  return ink;
}
