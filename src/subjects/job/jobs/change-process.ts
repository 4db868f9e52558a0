import type { Result } from '@/core/kit';
import { allOrNothing, type Db, queries } from '@/store';
import { keepSignatures, type Later, type NewChange, noteChange, takeBackChange } from '@/subjects/signature';
import type { ChangeIssue } from '@/subjects/signature/shared';
import { markOvertaken } from './mark-overtaken';

/**
 * Returns jobs of a profile whose newest sizes were drawn and not printed yet: they were drawn for the earlier process.
 */
function reopenDrawn(db: Db, profileId: number): string[] {
  return queries.listOpenJobsOf(db, profileId).flatMap(({ id, name, kind, overtakenAttemptId }) => {
    // A gauge is drawn as it is, whatever the process does.
    if (kind === 'gauge') return [];
    const last = queries.listAttempts(db, id).at(-1);
    if (last === undefined || last.prints.length > 0 || last.id === overtakenAttemptId) return [];
    markOvertaken(db, id);
    return [name];
  });
}

/** Notes what changed under a profile and opens the drawn sizes of its jobs again. Gives the names of those jobs. */
export function changeProcess(
  db: Db,
  profileId: number,
  change: NewChange,
  later: Later = (work) => work(),
): Result<readonly string[], ChangeIssue> {
  return reopening(db, profileId, later, (tx) => noteChange(tx, profileId, change));
}

/** Undoes the newest change, and reopens sizes drawn since. */
export function takeBackProcess(
  db: Db,
  profileId: number,
  changeId: number,
  later: Later = (work) => work(),
): Result<readonly string[], ChangeIssue> {
  return reopening(db, profileId, later, (tx) => takeBackChange(tx, profileId, changeId));
}

function reopening(
  db: Db,
  profileId: number,
  later: Later,
  verb: (tx: Db) => Result<unknown, ChangeIssue>,
): Result<readonly string[], ChangeIssue> {
  const answer = allOrNothing<readonly string[], ChangeIssue>(db, (tx) => {
    const noted = verb(tx);
    return noted.ok ? { ok: true, value: reopenDrawn(tx, profileId) } : noted;
  });
  if (answer.ok) later(() => keepSignatures(db, [profileId]));
  return answer;
}
