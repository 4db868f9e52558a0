import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { refit, reopenedSince, standingOf } from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { createProfile } from '@/subjects/signature';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import type { ChoiceEntry } from './words-decisions';
import { viewChoice } from './view-choice';
import type { ChoiceIssue } from './words-requirement';

interface ResinPick {
  readonly resinId: number;
  readonly printerId: number;
  readonly layerMm: number;
  /** Why, in the person's words beside what the program found. */
  readonly reason: string;
}

export interface ResinChosen {
  readonly name: string;
  readonly opened: readonly Reopened[];
}

/**
 * Chooses a resin on a printer for a job: the profile that is there is taken, or one is made, unmeasured. Sizes drawn for
 * another process are open again.
 */
export function chooseResin(db: Db, jobId: number, pick: ResinPick): Result<ResinChosen, ChoiceIssue> {
  const job = queries.findJob(db, jobId);
  const resin = queries.findResin(db, pick.resinId)?.resin;
  const { printers } = tables;
  const printer = db.select().from(printers).where(eq(printers.id, pick.printerId)).get();
  if (job === undefined || resin === undefined || printer === undefined) return fail({ code: 'gone' });
  const found = viewChoice(db, job, printer).ranked.find((each) => each.resin === resin.name);
  return db.transaction((tx) => {
    const known = queries
      .listProfiles(tx)
      .find((row) => row.resin.id === resin.id && row.printer.id === printer.id);
    const made =
      known === undefined
        ? createProfile(tx, {
            printerName: printer.name,
            simulated: printer.simulatedSeed !== null,
            resinName: resin.name,
            profileName: `${pick.layerMm} mm`,
            layerMm: pick.layerMm,
            lot: '',
          })
        : ok(known.profile.id);
    if (!made.ok) return fail({ code: 'gone' });
    const standing = standingOf(tx, jobId);
    tx.update(tables.jobs)
      .set({
        profileId: made.value,
        resinChosenId: resin.id,
      })
      .where(eq(tables.jobs.id, jobId))
      .run();
    refit(tx, jobId);
    const opened = reopenedSince(tx, jobId, standing);
    const entry: ChoiceEntry = {
      code: 'resinChosen',
      resin: resin.name,
      printer: printer.name,
      found: found && { verdict: found.verdict, checks: found.checks },
      reason: pick.reason,
    };
    recordDecision(tx, jobId, 'resin', entry);
    bumpRevision(tx, jobId);
    return ok({ name: resin.name, opened });
  });
}
