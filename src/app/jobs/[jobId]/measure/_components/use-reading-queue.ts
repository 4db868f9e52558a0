import { useOutbox } from '@/app/_components/use-outbox';
import type { Result } from '@/core/kit';
import type { ReadingInput, ReadingIssue } from '@/subjects/measure/readings/shared';

/** What the bench answered to one reading. */
export interface Answer {
  readonly entry: ReadingInput;
  readonly result: Result<{ readonly id: number; readonly elsewhere: number }, ReadingIssue>;
}

const REFUSED: Answer['result'] = { ok: false, issue: { code: 'gone', what: 'print' } };

/** Readings that are still to be sent, in order. */
export function useReadingQueue(printId: number, onAnswer: (answer: Answer) => void) {
  return useOutbox<ReadingInput, Answer['result']>({
    name: `mellow-readings-${printId}`,
    url: '/api/readings',
    onAnswer: (entry, result = REFUSED) => onAnswer({ entry, result }),
  });
}
