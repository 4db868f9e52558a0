'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';

const LINES = 'application/x-ndjson';

/** What became of a file: a sentence, and whether it was taken. */
interface FileAnswer {
  readonly ok: boolean;
  readonly text: string;
}

/** A file being sent: the share received, 0 to 1, once the server reports it. */
export interface Taking {
  readonly share?: number;
}

interface Ended {
  readonly ok: boolean;
  readonly body: unknown;
}

/** Reads the lines in which the server reports progress, to the last one with the result. */
async function followLines(
  body: ReadableStream<Uint8Array>,
  onShare: (share: number) => void,
): Promise<Ended> {
  const decoder = new TextDecoder();
  const reader = body.getReader();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    const lines = (rest + decoder.decode(value, { stream: !done })).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines.filter((each) => each !== '')) {
      const said = JSON.parse(line) as { share?: number; status?: number; body?: unknown };
      if (said.share !== undefined) onShare(said.share);
      else return { ok: said.status === 200, body: said.body };
    }
    if (done) throw new TypeError('the response was incomplete');
  }
}

/** Sends a file to the server, shows its progress and its result; the page is then refreshed. */
export function useTakeFile<Taken extends object>(
  address: string,
  describe: (taken: Taken) => string,
  lost = 'The connection was lost and nothing was imported. Try again.',
) {
  const router = useRouter();
  const [said, setSaid] = useState<FileAnswer | undefined>();
  const [taking, setTaking] = useState<Taking | undefined>();
  const sending = useRef<AbortController | undefined>(undefined);
  const send = async (file: File, signal: AbortSignal): Promise<Ended> => {
    const response = await fetch(address, { method: 'POST', body: file, headers: { Accept: LINES }, signal });
    const follows = response.headers?.get('content-type') === LINES && response.body !== null;
    return follows
      ? followLines(response.body, (share) => setTaking({ share }))
      : { ok: response.ok, body: await response.json() };
  };
  const take = async (file: File | undefined) => {
    if (file === undefined) return;
    sending.current?.abort();
    const mine = (sending.current = new AbortController());
    setSaid(undefined);
    setTaking({});
    try {
      const { ok, body } = await send(file, mine.signal);
      const answer = body as Taken & { message?: string };
      setSaid({ ok, text: answer.message ?? describe(answer) });
      router.refresh();
    } catch {
      const stopped = 'Stopped. Nothing was imported unless the page already shows it.';
      setSaid({ ok: false, text: mine.signal.aborted ? stopped : lost });
      if (mine.signal.aborted) router.refresh();
    }
    if (sending.current === mine) setTaking(undefined);
  };
  return { said, take, taking, stop: () => sending.current?.abort() };
}
