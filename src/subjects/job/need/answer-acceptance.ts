import type { Answer } from '@/core/job/need';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import type { NeedEntry } from './words-decisions';
import type { AnswerIssue } from './words-issues';

/** Keeps how the newest print did in the test that was agreed. */
export function answerAcceptance(
  db: Db,
  jobId: number,
  answer: Answer,
  note: string,
): Result<void, AnswerIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  if (job.acceptance === '') return fail({ code: 'noTest' });
  const print = queries.listAttempts(db, jobId).at(-1)?.prints.at(-1);
  if (print === undefined) return fail({ code: 'notPrinted' });
  return db.transaction((tx) => {
    tx.insert(tables.acceptanceAnswers)
      .values({ jobId, printId: print.id, test: job.acceptance, answer, note, at: new Date() })
      .run();
    const entry: NeedEntry = { code: 'testAnswered', answer, print: print.name, note };
    recordDecision(tx, jobId, 'story', entry);
    bumpRevision(tx, jobId);
    return ok(undefined);
  });
}
