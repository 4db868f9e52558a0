import { proxy } from 'comlink';
import type { Progress } from '@/core/mesh';

/**
 * Runs work in a worker with its progress. Word of progress travels on its own and may arrive after the result: from then
 * on it is dropped, or a page would show work that is done as still going on.
 */
export async function withProgress<Value>(
  onProgress: Progress,
  run: (relay: Progress) => Promise<Value>,
): Promise<Value> {
  let live = true;
  try {
    return await run(proxy((share: number) => (live ? onProgress(share) : undefined)));
  } finally {
    live = false;
  }
}
