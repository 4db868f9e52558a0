import { v4 as uuid } from 'uuid';
import { useOutbox } from '@/app/_components/use-outbox';
import type { Result } from '@/core/kit';
import type { FitWord } from '@/core/signature';
import type { ReadingIssue, TryInput } from '@/subjects/measure/readings/shared';

/** A word is never in doubt. */
type WordIssue = Exclude<ReadingIssue, { code: 'doubt' }>;

interface Words {
  readonly printId: number;
  /** Called when the server has stored a hand fit, or refused it: then with the reason. */
  readonly onAnswer: (word: TryInput, issue: WordIssue | undefined) => void;
}

/** Hand fits that are still to be sent; `saidOf` returns those that wait. */
export function useWords({ printId, onAnswer }: Words) {
  const outbox = useOutbox<TryInput, Result<void, WordIssue>>({
    name: `mellow-words-${printId}`,
    url: '/api/tries',
    onAnswer: (entry, result) => {
      if (result === undefined) onAnswer(entry, { code: 'gone', what: 'print' });
      else onAnswer(entry, result.ok ? undefined : result.issue);
    },
  });
  const saidOf = (featureId: number): FitWord | undefined =>
    outbox.waiting.findLast((word) => word.featureId === featureId)?.word;
  const say = (word: Omit<TryInput, 'clientKey'>) => outbox.add({ ...word, clientKey: uuid() });
  return { ...outbox, say, saidOf };
}
