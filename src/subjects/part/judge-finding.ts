import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';
import { type JobView, partOfJob } from '@/subjects/job/jobs';
import { recordDecision } from '@/subjects/workshop/records';
import { lastCheck, type Verdict } from './view-check';
import type { CheckEntry } from './words-decisions';
import type { VerdictIssue } from './words-issues';

/** Passes or waives a finding of the newest look, or opens it again; a waiver needs its reason. */
export function judgeFinding(
  db: Db,
  view: JobView,
  { key, verdict, reason }: { key: string; verdict: Verdict | 'open'; reason: string },
): Result<void, VerdictIssue> {
  const part = partOfJob(view);
  const finding = lastCheck(db, view.job.id)?.findings.find((each) => each.key === key);
  if (part === undefined || finding === undefined) return fail({ code: 'partChanged' });
  if (verdict === 'waived' && reason.trim() === '') return fail({ code: 'noWaiver' });
  const jobId = view.job.id;
  return db.transaction((tx) => {
    const decided = { verdict, finding, reason: reason.trim() };
    tx.insert(tables.findingVerdicts)
      .values({ jobId, source: part.key, key, ...decided, at: new Date() })
      .run();
    recordDecision<CheckEntry>(tx, jobId, 'check', { code: 'findingJudged', ...decided });
    return ok(undefined);
  });
}
