'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Result } from '@/core/result';
import type { ReadingInput, ReadingIssue } from '@/subjects/measure/shared';

/** What the bench answered to one reading. */
export interface Answer {
  readonly entry: ReadingInput;
  readonly result: Result<{ readonly id: number; readonly elsewhere: number }, ReadingIssue>;
}

const RETRY_MS = 2500;

const keyOf = (printId: number) => `mellow-readings-${printId}`;

function readKept(printId: number): ReadingInput[] {
  try {
    return JSON.parse(localStorage.getItem(keyOf(printId)) ?? '[]') as ReadingInput[];
  } catch {
    return [];
  }
}

/** One try to send; undefined when nobody answered. */
async function send(entry: ReadingInput): Promise<Answer['result'] | undefined> {
  try {
    const response = await fetch('/api/readings', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(entry),
    });
    if (response.ok) return (await response.json()) as Answer['result'];
    return response.status < 500 ? { ok: false, issue: { code: 'gone', what: 'print' } } : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Readings on their way to the bench, in order. They are kept on this machine until the bench has answered, so that a
 * lost connection, a crash or a reload loses none; each carries its own key, so that none is stored twice. `drain`
 * resolves once those on their way are answered, or nobody answers.
 */
export function useReadingQueue(printId: number, onAnswer: (answer: Answer) => void) {
  const [waiting, setWaiting] = useState<readonly ReadingInput[]>([]);
  const [isCutOff, setCutOff] = useState(false);
  const sending = useRef<Promise<void> | undefined>(undefined);
  const answered = useRef(onAnswer);
  useEffect(() => {
    answered.current = onAnswer;
  });
  const keep = useCallback(
    (entries: readonly ReadingInput[]) => {
      localStorage.setItem(keyOf(printId), JSON.stringify(entries));
      setWaiting(entries);
    },
    [printId],
  );
  const sendAll = useCallback(async () => {
    for (let [entry] = readKept(printId); entry !== undefined; [entry] = readKept(printId)) {
      const result = await send(entry);
      setCutOff(result === undefined);
      if (result === undefined) break;
      const { clientKey } = entry;
      keep(readKept(printId).filter((other) => other.clientKey !== clientKey));
      answered.current({ entry, result });
    }
  }, [keep, printId]);
  const drain = useCallback(() => {
    sending.current ??= sendAll().finally(() => {
      sending.current = undefined;
    });
    return sending.current;
  }, [sendAll]);
  useEffect(() => {
    const retry = () => void drain();
    const first = setTimeout(() => {
      setWaiting(readKept(printId));
      retry();
    }, 0);
    const timer = setInterval(retry, RETRY_MS);
    window.addEventListener('online', retry);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
      window.removeEventListener('online', retry);
    };
  }, [drain, printId]);
  const add = useCallback(
    (entry: ReadingInput) => {
      keep([...readKept(printId), entry]);
      void drain();
    },
    [drain, keep, printId],
  );
  return { waiting, isCutOff, add, drain };
}
