import type { Progress } from '@/core/part/mesh';

const LEAST_APART_MS = 50;

/** Progress at most every 50 ms: the page has other things to do. */
export function thinned(onProgress: Progress): Progress {
  let last = 0;
  return (share) => {
    if (performance.now() - last < LEAST_APART_MS) return;
    last = performance.now();
    onProgress(share);
  };
}
