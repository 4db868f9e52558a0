import type { Db } from '@/store';
import { viewJob } from '@/subjects/job';
import type { Reopened } from '@/subjects/job/shared';
import { isUnchecked } from './view-check';

/** Whether the part, if there is one, was looked at as it would be printed now. */
function isChecked(db: Db, jobId: number): boolean {
  const view = viewJob(db, jobId);
  return view !== undefined && !isUnchecked(db, view);
}

/** Makes a change, and tells of the check where the look that stood before it does not count any more. */
export function tellingOfCheck(db: Db, jobId: number, change: () => readonly Reopened[]): Reopened[] {
  const before = isChecked(db, jobId);
  const opened = change();
  return before && !isChecked(db, jobId) ? [...opened, { code: 'check' }] : [...opened];
}
