import { and, eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import { bumpRevision, noteLedger } from '@/subjects/records';
import { type FeatureInput, featureValues, findInputIssue, type JobIssue, keepMate } from './feature-input';
import { NO_WISH } from './limits-of-wish';
import { refit } from './refit-job';
import { viewJob } from './view-job';
import type { FeatureView } from './view-print';

/** Forms show sizes to a ten-thousandth. */
const SAME_MM = 6e-5;

/** What a mend of a feature changed in what was already judged. */
export interface MendEffect {
  readonly before?: Pick<FeatureView, 'size' | 'verdict'>;
  readonly after?: Pick<FeatureView, 'size' | 'verdict'>;
}

export interface FeatureMend extends FeatureInput {
  readonly drawnMm?: number;
  readonly revision: number;
}

function viewOf(db: Db, jobId: number, featureId: number): FeatureView | undefined {
  return viewJob(db, jobId)?.current?.features.find(({ id }) => id === featureId);
}

/** Mends a wrong sense, target or drawn size, readings or not, and tells what that changed. */
export function mendFeature(
  db: Db,
  jobId: number,
  featureId: number,
  wanted: FeatureMend,
): Result<MendEffect, JobIssue> {
  const job = queries.findJob(db, jobId);
  const feature = queries.listFeatures(db, jobId).find(({ id }) => id === featureId);
  if (job === undefined || feature === undefined) return fail({ code: 'gone' });
  if (job.revision !== wanted.revision) return fail({ code: 'changedElsewhere' });
  const issue = findInputIssue(db, jobId, wanted, featureId);
  if (issue !== undefined) return fail(issue);
  if (wanted.drawnMm !== undefined && !(wanted.drawnMm > 0)) return fail({ code: 'notPositive' });
  const before = viewOf(db, jobId, featureId);
  db.transaction((tx) => {
    const mateId = keepMate(tx, jobId, wanted);
    const values = featureValues(wanted);
    // Limits typed by hand stand in place of a wish; a mate that was measured anew moves those of its wish.
    const byHand = (['targetMm', 'lowerMm', 'upperMm'] as const).some(
      (limit) => Math.abs(values[limit] - feature[limit]) > SAME_MM,
    );
    tx.update(tables.features)
      .set({ ...values, mateId, ...(byHand ? NO_WISH : {}) })
      .where(eq(tables.features.id, featureId))
      .run();
    if (!byHand) refit(tx, jobId);
    const last = queries.listAttempts(tx, jobId).at(-1);
    if (last !== undefined && wanted.drawnMm !== undefined) {
      tx.update(tables.drawnSizes)
        .set({ drawnMm: wanted.drawnMm, predictedMm: null, sdMm: null, chance: null })
        .where(and(eq(tables.drawnSizes.attemptId, last.id), eq(tables.drawnSizes.featureId, featureId)))
        .run();
    }
    bumpRevision(tx, jobId);
    noteLedger(tx, jobId, 'need', `${wanted.name} mended`, 'sense, target, limits or drawn size');
  });
  return ok({ before, after: viewOf(db, jobId, featureId) });
}
