import type { Answer } from '@/core/need';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import { bumpRevision, noteLedger } from '@/subjects/records';

type AnswerIssue = { readonly code: 'gone' } | { readonly code: 'noTest' } | { readonly code: 'notPrinted' };

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
  db.insert(tables.acceptanceAnswers)
    .values({ jobId, printId: print.id, test: job.acceptance, answer, note, at: new Date() })
    .run();
  noteLedger(
    db,
    jobId,
    'story',
    `Acceptance test ${answer}`,
    `print ${print.name}${note === '' ? '' : `: ${note}`}`,
  );
  bumpRevision(db, jobId);
  return ok(undefined);
}
