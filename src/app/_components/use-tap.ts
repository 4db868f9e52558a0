'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { v4 as newKey } from 'uuid';

/** A tap that the bench answers with a sentence where it refused, or with nothing where all went well. */
export interface Tap {
  readonly problem: string;
  readonly isBusy: boolean;
  /**
   * Does the work once per key. Refreshes the page afterwards; `then` goes to another page instead, if all went well.
   */
  readonly tap: (work: (tapKey: string) => Promise<string>, then?: () => void) => void;
}

/** So often a tap is sent that nobody answers. */
const TRIES = 3;
const WAIT_MS = 400;

/** Sends a tap until it is answered, always with the same key: what arrived although its answer was lost is done once. */
async function send(work: (tapKey: string) => Promise<string>): Promise<string> {
  const tapKey = newKey();
  for (let tried = 1; tried <= TRIES; tried++) {
    try {
      return await work(tapKey);
    } catch {
      await new Promise((resolve) => setTimeout(resolve, WAIT_MS * tried));
    }
  }
  return 'The connection was lost. Reload the page to see whether it was saved.';
}

/** Taps without a form: what is refused is said, and what nobody answered is sent again. */
export function useTap(): Tap {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const [isBusy, startTransition] = useTransition();
  const tap: Tap['tap'] = (work, then) =>
    startTransition(async () => {
      const said = await send(work);
      setProblem(said);
      if (said === '' && then !== undefined) then();
      else router.refresh();
    });
  return { problem, isBusy, tap };
}
