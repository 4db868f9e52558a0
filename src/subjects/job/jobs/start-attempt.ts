import type { JobEntry } from './words-decisions';
import { assessFit } from '@/core/fit/mating';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables, targetOf } from '@/store';
import { recordDecision } from '@/subjects/workshop/records';
import { drawOptions, roundDrawn } from './drawn-sizes';
import type { JobView } from './view-job';
import type { StartIssue } from './words-issues';

export interface NewAttempt {
  readonly lever: 'drawn' | 'mesh';
  readonly meshHash?: string;
  readonly reason: string;
  /** Drawn sizes by feature id; features left out keep what they had, or their target. */
  readonly drawnMm: ReadonlyMap<number, number>;
  /** Joints printed in place, as the file has them. */
  readonly joints?: readonly DrawnJoint[];
}

/** A joint in an attempt's file; lengths mm. */
export interface DrawnJoint {
  readonly jointId: number;
  readonly gapMm: number;
  readonly heightGapMm: number | null;
  readonly scale: number;
  /** Chance to come free that is expected. */
  readonly free: number;
}

/** Starts the next attempt with its drawn sizes and what was expected of each, before anything is printed. */
export function startAttempt(db: Db, view: JobView, wanted: NewAttempt): Result<number, StartIssue> {
  const { job, learned } = view;
  if (job.profileId === null || learned === undefined) return fail({ code: 'noProfile' });
  const { joints = [] } = wanted;
  if (view.features.length + joints.length === 0) return fail({ code: 'noFeatures' });
  const last = view.attempts.at(-1);
  if (last !== undefined && wanted.reason.trim() === '') return fail({ code: 'noReason' });
  const number = (last?.number ?? 0) + 1;
  const options = drawOptions(view);
  const profileId = job.profileId;
  return db.transaction((tx) => {
    const attempt = tx
      .insert(tables.attempts)
      .values({
        jobId: job.id,
        number,
        profileId,
        lever: wanted.lever,
        meshHash: wanted.meshHash ?? null,
        reason: wanted.reason.trim(),
        createdAt: new Date(),
      })
      .returning()
      .get();
    const sizesMm: number[] = [];
    for (const feature of view.features) {
      const before = last?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm;
      const drawnMm = roundDrawn(wanted.drawnMm.get(feature.id) ?? before ?? feature.targetMm);
      sizesMm.push(drawnMm);
      const { predictedMm, sdMm, inTolerance } = assessFit(
        learned.signature,
        targetOf(feature, view),
        drawnMm,
        options,
      );
      tx.insert(tables.drawnSizes)
        .values({
          attemptId: attempt.id,
          featureId: feature.id,
          drawnMm,
          predictedMm,
          sdMm,
          chance: inTolerance,
        })
        .run();
    }
    for (const joint of joints)
      tx.insert(tables.drawnJoints)
        .values({ attemptId: attempt.id, ...joint })
        .run();
    recordDecision<JobEntry>(tx, job.id, 'correct', {
      code: 'attemptDrawn',
      number,
      sizesMm,
      joints: joints.length,
      reason: wanted.reason.trim(),
      readingCount: learned.readingCount,
    });
    return ok(attempt.id);
  });
}
