'use client';

import { useSyncExternalStore } from 'react';

let chosen: number | undefined;
const listeners = new Set<() => void>();

function subscribe(onChange: () => void): () => void {
  listeners.add(onChange);
  return () => listeners.delete(onChange);
}

/** Chooses a feature in the picture and in every list of the page at once. */
export function chooseFeature(id: number | undefined): void {
  chosen = id;
  listeners.forEach((tell) => tell());
}

/** The feature that is chosen on this page, in the picture or in a list. */
export function useChosenFeature(): number | undefined {
  return useSyncExternalStore(
    subscribe,
    () => chosen,
    () => undefined,
  );
}
