import type { TryInput } from '@/subjects/measure/shared';

/** Sends a word of fit; gives what went wrong, where something did. */
export async function sendWord(word: Omit<TryInput, 'clientKey'>): Promise<string | undefined> {
  const response = await fetch('/api/tries', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...word, clientKey: crypto.randomUUID() }),
  }).catch(() => undefined);
  if (response === undefined) return 'The connection is lost; the word was not kept. Say it again.';
  return response.ok ? undefined : 'The word was not kept. Say it again.';
}
