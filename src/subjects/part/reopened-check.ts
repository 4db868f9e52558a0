import type { Db } from '@/store';
import { partOfJob, viewJob } from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { isUnchecked } from './view-check';

/** Whether the part of a job was checked as it would be printed now; undefined while it has no part. */
function isChecked(db: Db, jobId: number): boolean | undefined {
  const view = viewJob(db, jobId);
  return view && partOfJob(view) && !isUnchecked(db, view);
}

/** Makes a change and adds the check to what it reopened, if a check was valid before and is not any more. */
export function tellingOfCheck(db: Db, jobId: number, change: () => readonly Reopened[]): Reopened[] {
  const before = isChecked(db, jobId);
  const opened = change();
  return before === true && isChecked(db, jobId) === false ? [...opened, { code: 'check' }] : [...opened];
}
