import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { useOutbox } from '@/app/_components/use-outbox';
import { type Doubt, guessOf } from '@/core/measure';
import type { Result } from '@/core/kit';
import { describeDoubt, GONE_WORDS } from '@/subjects/kit/shared';
import { type BodyInput, type BodyIssue, describeBodyIssue } from '@/subjects/job/sheets/shared';

/** A reading that is asked about before it is kept. */
export interface AskedBody {
  readonly entry: BodyInput;
  readonly message: string;
  readonly canBeRight: boolean;
  readonly guessMm?: number;
}

function askedOf(entry: BodyInput, doubt: Doubt, readingMm: number): AskedBody {
  return {
    entry,
    message: describeDoubt(doubt, readingMm),
    canBeRight: doubt.code !== 'notPositive',
    guessMm: guessOf(doubt),
  };
}

/** Readings of the old part that are still to be sent; they wait here while the server does not respond. */
export function useBodies(jobId: number) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | undefined>();
  const [asked, setAsked] = useState<AskedBody | undefined>();
  const outbox = useOutbox<BodyInput, Result<number, BodyIssue>>({
    name: `mellow-bodies-${jobId}`,
    url: '/api/bodies',
    onAnswer: (entry, result) => {
      router.refresh();
      if (result === undefined) return setProblem(GONE_WORDS);
      if (result.ok) return;
      if (result.issue.code === 'doubt') setAsked(askedOf(entry, result.issue.doubt, result.issue.readingMm));
      else setProblem(describeBodyIssue(result.issue));
    },
  });
  const take = (reading: Omit<BodyInput, 'jobId' | 'clientKey'>) => {
    setProblem(undefined);
    setAsked(undefined);
    outbox.add({ ...reading, jobId, clientKey: uuid() });
  };
  return { ...outbox, take, problem, setProblem, asked, setAsked };
}
