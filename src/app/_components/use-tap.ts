'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';

/** A tap that the bench answers with a sentence where it refused, or with nothing where all went well. */
export interface Tap {
  readonly problem: string;
  readonly isBusy: boolean;
  /** Shows the page anew afterwards; `then` goes on instead, where all went well. */
  readonly tap: (work: () => Promise<string>, then?: () => void) => void;
}

/** Taps without a form: what is refused is said, and one that did not reach the bench can be made again. */
export function useTap(): Tap {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const [isBusy, startTransition] = useTransition();
  const tap: Tap['tap'] = (work, then) =>
    startTransition(async () => {
      const said = await work().catch(() => 'The connection is lost; nothing was kept. Tap again.');
      setProblem(said);
      if (said === '' && then !== undefined) then();
      else router.refresh();
    });
  return { problem, isBusy, tap };
}
