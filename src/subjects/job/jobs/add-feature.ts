import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, rememberPrinted, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';
import { type FeatureInput, featureValues, findInputIssue, keepMate } from './feature-input';
import type { JobIssue } from './words-issues';

/** Adds a feature to a job; where attempts exist already it counts as drawn at its target in the newest. */
export function addFeature(db: Db, jobId: number, wanted: FeatureInput): Result<number, JobIssue> {
  const issue = findInputIssue(db, jobId, wanted);
  if (issue !== undefined) return fail(issue);
  return db.transaction((tx) => {
    const position = queries.listFeatures(tx, jobId).length;
    const mateId = keepMate(tx, jobId, wanted);
    const { id } = tx
      .insert(tables.features)
      .values({ jobId, position, mateId, ...featureValues(wanted) })
      .returning()
      .get();
    const last = queries.listAttempts(tx, jobId).at(-1);
    if (last !== undefined) {
      tx.insert(tables.drawnSizes)
        .values({ attemptId: last.id, featureId: id, drawnMm: wanted.targetMm })
        .run();
      rememberPrinted(tx, last.id);
    }
    bumpRevision(tx, jobId);
    return ok(id);
  });
}
