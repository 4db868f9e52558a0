import { fail, ok, type Result } from '@/core/result';
import { type Db, tables } from '@/store';
import { type JobView, partOfJob } from '@/subjects/job';
import { noteLedger } from '@/subjects/records';
import { lastCheck, type Verdict } from './view-check';

type VerdictIssue = { readonly code: 'noReason' } | { readonly code: 'gone' };

/** Passes or waives a finding of the newest look, or opens it again; a waiver needs its reason. */
export function judgeFinding(
  db: Db,
  view: JobView,
  { key, verdict, reason, title }: { key: string; verdict: Verdict | 'open'; reason: string; title: string },
): Result<void, VerdictIssue> {
  const part = partOfJob(view);
  const last = lastCheck(db, view.job.id);
  if (part === undefined || last === undefined || !last.findings.some((finding) => finding.key === key))
    return fail({ code: 'gone' });
  if (verdict === 'waived' && reason.trim() === '') return fail({ code: 'noReason' });
  db.insert(tables.findingVerdicts)
    .values({
      jobId: view.job.id,
      source: part.key,
      key,
      title,
      verdict,
      reason: reason.trim(),
      at: new Date(),
    })
    .run();
  const word = { passed: 'Passed', waived: 'Waived', open: 'Open again' }[verdict];
  noteLedger(db, view.job.id, 'check', `${word}: ${title}`, reason.trim());
  return ok(undefined);
}
