import { proxy } from 'comlink';
import type { Progress } from '@/core/part/mesh';

/**
 * Runs work in a worker with its progress. Progress messages may arrive after the result: they are then dropped, or a
 * page would show finished work as still running.
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
