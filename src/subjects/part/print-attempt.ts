import { fail, ok, type Result } from '@/core/kit';
import { type Db } from '@/store';
import { type JobView, notePrint, viewJob } from '@/subjects/job/jobs';
import { recordDecision } from '@/subjects/workshop/records';
import { listOpenLosses } from './view-check';
import type { PrintIssue } from './words-issues';
import type { CheckEntry } from './words-decisions';

interface PrintWanted {
  readonly copies: number;
  /** Why it is printed although findings that could lose it are open. */
  readonly despite: string;
  /** Where the middle of the part lay, from the plate's middle, mm. */
  readonly place?: { readonly xMm: number; readonly yMm: number };
  readonly roomC?: number;
}

/** Length and width of the plate where they are known and the place is not on it. */
function plateMissed(view: JobView, place: PrintWanted['place']): readonly [number, number] | undefined {
  const plate = view.profile?.printer.rooms.plate;
  if (plate === undefined || place === undefined) return undefined;
  const [length, width] = plate;
  const isOn = Math.abs(place.xMm) <= length / 2 && Math.abs(place.yMm) <= width / 2;
  return isOn ? undefined : [length, width];
}

/**
 * Notes that the newest attempt of a job was printed, once more or for the first time. While findings that could lose the
 * print are open a reason is needed; the story keeps it. Gives the id of the first copy.
 */
export function printAttempt(
  db: Db,
  jobId: number,
  attemptId: number,
  { copies, despite, place, roomC }: PrintWanted,
): Result<number, PrintIssue> {
  const view = viewJob(db, jobId);
  const attempt = view?.attempts.find(({ id }) => id === attemptId);
  if (view === undefined || attempt === undefined) return fail({ code: 'gone' });
  const open = listOpenLosses(db, view);
  if (open.length > 0 && despite === '') return fail({ code: 'openFindings', count: open.length });
  const missed = plateMissed(view, place);
  if (missed !== undefined) return fail({ code: 'offPlate', plateMm: missed });
  return db.transaction((tx) => {
    const reason = open.length > 0 ? despite : '';
    const printId = notePrint(tx, attemptId, jobId, { copies, despite: reason, place, roomC });
    recordDecision<CheckEntry>(tx, jobId, 'check', {
      code: 'printed',
      attempt: attempt.number,
      again: attempt.prints.length > 0,
      copies,
      open: open.length,
      reason,
    });
    return ok(printId);
  });
}
