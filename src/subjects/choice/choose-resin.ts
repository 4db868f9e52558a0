import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import { createProfile } from '@/subjects/printing';
import { bumpRevision, noteLedger } from '@/subjects/records';

interface ResinPick {
  readonly resinId: number;
  readonly printerId: number;
  readonly layerMm: number;
  /** Why, in the person's words beside what the program found. */
  readonly reason: string;
  /** What the choice found, in words. */
  readonly found: string;
}

/**
 * Chooses a resin on a printer for a job: the profile that is there is taken, or one is made, unmeasured. Sizes drawn for
 * another process are open again.
 */
export function chooseResin(db: Db, jobId: number, pick: ResinPick): Result<void, { readonly code: 'gone' }> {
  const job = queries.findJob(db, jobId);
  const resin = queries.findResin(db, pick.resinId)?.resin;
  const { printers } = tables;
  const printer = db.select().from(printers).where(eq(printers.id, pick.printerId)).get();
  if (job === undefined || resin === undefined || printer === undefined) return fail({ code: 'gone' });
  return db.transaction((tx) => {
    const known = queries
      .listProfiles(tx)
      .find((row) => row.resin.id === resin.id && row.printer.id === printer.id);
    const made =
      known === undefined
        ? createProfile(tx, {
            printerName: printer.name,
            standIn: printer.standInSeed !== null,
            resinName: resin.name,
            profileName: `${pick.layerMm} mm`,
            layerMm: pick.layerMm,
            lot: '',
          })
        : ok(known.profile.id);
    if (!made.ok) return fail({ code: 'gone' });
    const moved = job.profileId !== made.value && queries.listAttempts(tx, jobId).length > 0;
    tx.update(tables.jobs)
      .set({
        profileId: made.value,
        resinChosenId: resin.id,
        ...(moved ? { needChangedAt: new Date() } : {}),
      })
      .where(eq(tables.jobs.id, jobId))
      .run();
    const detail = [pick.found, pick.reason].filter((text) => text !== '').join('; ');
    noteLedger(tx, jobId, 'resin', `${resin.name} on ${printer.name}`, detail);
    bumpRevision(tx, jobId);
    return ok(undefined);
  });
}
