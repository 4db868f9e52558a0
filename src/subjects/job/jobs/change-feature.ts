import { and, eq } from 'drizzle-orm';
import { type FeatureKind, sameKind } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, evidenceChanged, kindColumns, kindOf, queries, tables } from '@/store';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import { type FeatureInput, featureValues, findInputIssue, keepMate } from './feature-input';
import type { JobIssue } from './words-issues';
import { NO_WISH } from './limits-of-wish';
import { refit } from './refit-job';
import { reopenedSince, standingOf } from './reopened';
import { viewJob } from './view-job';
import type { FeatureView } from './view-print';
import type { JobEntry } from './words-decisions';
import { keepSignatures } from '@/subjects/signature';
import type { FeatureEffect } from './words-feature-effect';

/** Forms show sizes to a ten-thousandth. */
const SAME_MM = 6e-5;

export interface FeatureChange extends FeatureInput {
  readonly drawnMm?: number;
  /** Whether another kind was true of what is printed already (it had been typed wrong), or holds from the next print on. */
  readonly holdsFor?: 'all' | 'next';
  readonly revision: number;
}

function viewOf(db: Db, jobId: number, featureId: number): FeatureView | undefined {
  return viewJob(db, jobId)?.current?.features.find(({ id }) => id === featureId);
}

/** A kind that was typed wrong is put right in every print that lay as the feature was said to. */
function repairPrinted(db: Db, feature: queries.Feature, kind: FeatureKind): void {
  const { printedFeatures } = tables;
  const before = kindOf(feature);
  if (sameKind(before, kind)) return;
  const rows = db.select().from(printedFeatures).where(eq(printedFeatures.featureId, feature.id)).all();
  for (const { printId, ...row } of rows) {
    if (!sameKind(kindOf(row), before)) continue;
    db.update(printedFeatures)
      .set(kindColumns(kind))
      .where(and(eq(printedFeatures.printId, printId), eq(printedFeatures.featureId, feature.id)))
      .run();
  }
}

/** Changes a wrong sense, target or drawn size, readings or not, and tells what that changed. */
export function changeFeature(
  db: Db,
  jobId: number,
  featureId: number,
  wanted: FeatureChange,
): Result<FeatureEffect, JobIssue> {
  const job = queries.findJob(db, jobId);
  const feature = queries.listFeatures(db, jobId).find(({ id }) => id === featureId);
  if (job === undefined || feature === undefined) return fail({ code: 'gone' });
  if (job.revision !== wanted.revision) return fail({ code: 'changedElsewhere' });
  const issue = findInputIssue(db, jobId, wanted, featureId);
  if (issue !== undefined) return fail(issue);
  if (wanted.drawnMm !== undefined && !(wanted.drawnMm > 0)) return fail({ code: 'notPositive' });
  const before = viewOf(db, jobId, featureId);
  const { changed, opened } = db.transaction((tx) => {
    const standing = standingOf(tx, jobId);
    const mateId = keepMate(tx, jobId, wanted);
    const values = featureValues(wanted);
    // Typed limits replace a fit; a newly measured mate moves the limits of its fit.
    const byHand = (['targetMm', 'lowerDeviationMm', 'upperDeviationMm'] as const).some(
      (limit) => Math.abs(values[limit] - feature[limit]) > SAME_MM,
    );
    tx.update(tables.features)
      .set({ ...values, mateId, ...(byHand ? NO_WISH : {}) })
      .where(eq(tables.features.id, featureId))
      .run();
    if (wanted.holdsFor !== 'next') repairPrinted(tx, feature, wanted.kind);
    if (!byHand) refit(tx, jobId);
    const last = queries.listAttempts(tx, jobId).at(-1);
    if (last !== undefined && wanted.drawnMm !== undefined) {
      tx.update(tables.drawnSizes)
        .set({ drawnMm: wanted.drawnMm, predictedMm: null, sdMm: null, chance: null })
        .where(and(eq(tables.drawnSizes.attemptId, last.id), eq(tables.drawnSizes.featureId, featureId)))
        .run();
    }
    bumpRevision(tx, jobId);
    recordDecision<JobEntry>(tx, jobId, 'need', { code: 'featureChanged', name: wanted.name });
    return { opened: reopenedSince(tx, jobId, standing), changed: evidenceChanged(tx, { jobId }) };
  });
  keepSignatures(db, changed);
  return ok({ before, after: viewOf(db, jobId, featureId), opened });
}
