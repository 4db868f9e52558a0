import type { Result } from '@/core/kit';
import type { Db } from './client';

class Refused extends Error {
  constructor(readonly answer: Result<never, unknown>) {
    super('refused');
  }
}

/** Runs a piece of work in one transaction, in which nobody else writes; what it wrote is undone when it answers with an issue. */
export function allOrNothing<Value, Issue>(
  db: Db,
  work: (tx: Db) => Result<Value, Issue>,
): Result<Value, Issue> {
  try {
    return db.transaction(
      (tx) => {
        const answer = work(tx);
        if (!answer.ok) throw new Refused(answer);
        return answer;
      },
      { behavior: 'immediate' },
    );
  } catch (error) {
    if (error instanceof Refused) return error.answer as Result<Value, Issue>;
    throw error;
  }
}
