import type { Db } from '@/store';
import { keepPartFile, reopenedSince, standingOf } from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { tellingOfCheck } from './reopened-check';

/** Keeps a file, stored under its hash already, as the part of the job; gives what that opened again. */
export function bringPart(db: Db, jobId: number, meshHash: string, name: string): Reopened[] {
  return db.transaction((tx) =>
    tellingOfCheck(tx, jobId, () => {
      const standing = standingOf(tx, jobId);
      keepPartFile(tx, jobId, meshHash, name);
      return reopenedSince(tx, jobId, standing);
    }),
  );
}
