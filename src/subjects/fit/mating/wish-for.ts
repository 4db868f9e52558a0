import { eq } from 'drizzle-orm';
import { type ClearanceBand, isoFit, type Ruin, type Wish, wishedClearance } from '@/core/fit/mating';
import { fail, ok, type Result } from '@/core/kit';
import { optionOf, SHEETS } from '@/core/job/sheets';
import { type Db, queries, tables } from '@/store';
import {
  keepMateBody,
  type MateInput,
  refit,
  reopenedSince,
  standingOf,
  wishGround,
} from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import type { FitEntry } from './words-decisions';
import type { WishIssue } from './words-issues';

export interface WishInput {
  readonly wish: Wish;
  /** Clearance of this interface alone, in place of the class. */
  readonly clearance?: ClearanceBand;
  /** Letters such as H7/g6, in place of the class. */
  readonly isoFit?: string;
  readonly ruin: Ruin;
  readonly coatMm: number;
  readonly mate: MateInput;
}

function isoBand(input: WishInput): Result<ClearanceBand | undefined, WishIssue> {
  if (input.isoFit === undefined) return ok(input.clearance);
  const fit = isoFit(input.mate.sizeMm ?? NaN, input.isoFit);
  if (!fit.ok) return fail({ code: 'iso', issue: fit.issue });
  const { min, max } = fit.value.clearance_um;
  return ok({ lowMm: min / 1000, highMm: max / 1000 });
}

/** For a feature from a measuring sheet, the sheet stores the fit too, so that it survives the next transfer. */
function noteOnSheet(db: Db, job: queries.Job, mateId: number, wished: WishInput): void {
  const mate = queries.listMates(db, job.id).find(({ id }) => id === mateId);
  if (job.sheet === null || mate === undefined || mate.measure === null) return;
  const { sheet } = job;
  const at = SHEETS[sheet.kind].interfaces(optionOf(sheet)).find(({ measure }) => measure === mate.measure);
  if (at === undefined) return;
  const { wish, ruin, clearance, coatMm } = wished;
  const wishes = { ...sheet.wishes, [at.id]: { wish, ruin, clearance, coatMm } };
  db.update(tables.jobs)
    .set({ sheet: { ...sheet, wishes } })
    .where(eq(tables.jobs.id, job.id))
    .run();
}

/** Result of a saved fit. */
export interface WishKept {
  /** The mate, where it was never measured: the limits follow once it is. */
  readonly unmeasured?: string;
  readonly opened: readonly Reopened[];
}

/**
 * Sets the fit between a feature and its mate; its target and limits follow. If the mate was never measured, the fit is
 * stored and the mate's name is returned: the limits stay unchanged until it has a size.
 */
export function wishFor(
  db: Db,
  jobId: number,
  featureId: number,
  input: WishInput,
): Result<WishKept, WishIssue> {
  const job = queries.findJob(db, jobId);
  const feature = queries.listFeatures(db, jobId).find(({ id }) => id === featureId);
  if (job === undefined || feature === undefined) return fail({ code: 'gone' });
  if (feature.sense === 'pitch') return fail({ code: 'pitchHasNoMate' });
  const known = queries.listMates(db, jobId).find(({ name }) => name === input.mate.name);
  const sizeMm = input.mate.sizeMm ?? known?.sizeMm ?? undefined;
  const band = isoBand({ ...input, mate: { ...input.mate, sizeMm } });
  if (!band.ok) return band;
  if (band.value !== undefined && !(band.value.lowMm < band.value.highMm))
    return fail({ code: 'clearanceCrossed' });
  return db.transaction((tx) => {
    const standing = standingOf(tx, jobId);
    const mateId = keepMateBody(tx, jobId, input.mate);
    tx.update(tables.features)
      .set({
        mateId,
        wish: input.wish,
        bandLowMm: band.value?.lowMm ?? null,
        bandHighMm: band.value?.highMm ?? null,
        isoFit: input.isoFit ?? null,
        ruin: input.ruin,
        coatMm: input.coatMm,
      })
      .where(eq(tables.features.id, featureId))
      .run();
    noteOnSheet(tx, job, mateId, { ...input, clearance: band.value });
    if (sizeMm === undefined) {
      bumpRevision(tx, jobId);
      return ok({ unmeasured: input.mate.name, opened: reopenedSince(tx, jobId, standing) });
    }
    refit(tx, jobId);
    bumpRevision(tx, jobId);
    const { lowMm, highMm } = band.value ?? wishedClearance(input.wish, sizeMm, wishGround(tx, job).classes);
    recordDecision<FitEntry>(tx, jobId, 'fit', {
      code: 'wished',
      feature: feature.name,
      wish: input.wish,
      isoFit: input.isoFit ?? null,
      mate: input.mate.name,
      mateMm: sizeMm,
      lowMm,
      highMm,
    });
    return ok({ opened: reopenedSince(tx, jobId, standing) });
  });
}
