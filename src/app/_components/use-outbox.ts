import { useCallback, useEffect, useRef, useState } from 'react';

/** Something to send to the server, with its own key, because it must be stored once however often it is sent. */
interface Entry {
  readonly clientKey: string;
}

interface OutboxOptions<Sent extends Entry, Answer> {
  /** Where it waits in this browser. */
  readonly name: string;
  readonly url: string;
  /** Called with what the bench answered; undefined where it refused the entry as it stands. */
  readonly onAnswer: (entry: Sent, answer: Answer | undefined) => void;
}

const RETRY_MS = 2500;

function readKept<Sent>(name: string): Sent[] {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '[]') as Sent[];
  } catch {
    return [];
  }
}

type Sending<Answer> = { readonly answer?: Answer } | 'noAnswer';

/** One try to send. */
async function send<Answer>(url: string, entry: Entry): Promise<Sending<Answer>> {
  try {
    const response = await fetch(url, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(entry),
    });
    if (response.ok) return { answer: (await response.json()) as Answer };
    return response.status < 500 ? {} : 'noAnswer';
  } catch {
    return 'noAnswer';
  }
}

/**
 * What is still to be sent to the server, in order. It is kept in this browser until the server has answered, so that a
 * lost connection, a crash or a reload loses nothing. `drain` resolves once everything is answered, or nothing answers.
 */
export function useOutbox<Sent extends Entry, Answer>({ name, url, onAnswer }: OutboxOptions<Sent, Answer>) {
  const [waiting, setWaiting] = useState<readonly Sent[]>([]);
  const [isCutOff, setCutOff] = useState(false);
  const sending = useRef<Promise<void> | undefined>(undefined);
  const answered = useRef(onAnswer);
  useEffect(() => {
    answered.current = onAnswer;
  });
  const keep = useCallback(
    (entries: readonly Sent[]) => {
      localStorage.setItem(name, JSON.stringify(entries));
      setWaiting(entries);
    },
    [name],
  );
  const sendAll = useCallback(async () => {
    for (let [entry] = readKept<Sent>(name); entry !== undefined; [entry] = readKept<Sent>(name)) {
      const sent = await send<Answer>(url, entry);
      setCutOff(sent === 'noAnswer');
      if (sent === 'noAnswer') break;
      const { clientKey } = entry;
      keep(readKept<Sent>(name).filter((other) => other.clientKey !== clientKey));
      answered.current(entry, sent.answer);
    }
  }, [keep, name, url]);
  const drain = useCallback(() => {
    sending.current ??= sendAll().finally(() => {
      sending.current = undefined;
    });
    return sending.current;
  }, [sendAll]);
  useEffect(() => {
    const retry = () => void drain();
    const first = setTimeout(() => {
      setWaiting(readKept<Sent>(name));
      retry();
    }, 0);
    const timer = setInterval(retry, RETRY_MS);
    window.addEventListener('online', retry);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
      window.removeEventListener('online', retry);
    };
  }, [drain, name]);
  const add = useCallback(
    (entry: Sent) => {
      keep([...readKept<Sent>(name), entry]);
      void drain();
    },
    [drain, keep, name],
  );
  return { waiting, isCutOff, add, drain };
}
