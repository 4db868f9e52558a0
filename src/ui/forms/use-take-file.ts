'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';

/** What became of a file: a sentence, and whether it was taken. */
interface FileAnswer {
  readonly ok: boolean;
  readonly text: string;
}

/** Sends a file to the bench and says what became of it; what the page shows is read anew. */
export function useTakeFile<Taken extends object>(
  address: string,
  describe: (taken: Taken) => string,
  lost = 'The connection was lost; nothing was taken in. Try again.',
) {
  const router = useRouter();
  const [said, setSaid] = useState<FileAnswer | undefined>();
  const take = async (file: File | undefined) => {
    if (file === undefined) return;
    setSaid(undefined);
    try {
      const response = await fetch(address, { method: 'POST', body: file });
      const answer = (await response.json()) as Taken & { message?: string };
      setSaid({ ok: response.ok, text: answer.message ?? describe(answer) });
      router.refresh();
    } catch {
      setSaid({ ok: false, text: lost });
    }
  };
  return { said, take };
}
