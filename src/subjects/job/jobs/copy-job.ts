import { and, eq, isNull } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { renumberRecipe } from '@/core/fit/solids';
import { type Db, queries, tables } from '@/store';
import type { JobIssue } from './words-issues';

/** Readings and pictures of the old part belong to the part, not to a try of it: they go along, as joints do. */
function copyWhatIsOfThePart(db: Db, fromId: number, jobId: number): void {
  const { bodyReadings, joints, pictures } = tables;
  for (const reading of db.select().from(bodyReadings).where(eq(bodyReadings.jobId, fromId)).all())
    db.insert(bodyReadings)
      .values({ ...reading, id: undefined, jobId, clientKey: `copy-${jobId}-${reading.id}` })
      .run();
  for (const joint of db.select().from(joints).where(eq(joints.jobId, fromId)).all())
    db.insert(joints)
      .values({ ...joint, id: undefined, jobId })
      .run();
  for (const picture of db
    .select()
    .from(pictures)
    .where(and(eq(pictures.jobId, fromId), isNull(pictures.runId)))
    .all())
    db.insert(pictures)
      .values({ ...picture, id: undefined, jobId })
      .run();
}

/** A new job with the same need, sheet, mates, joints and features, and none of the attempts. */
export function copyJob(db: Db, jobId: number): Result<number, JobIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  return db.transaction((tx) => {
    const need = {
      ...job,
      id: undefined,
      solid: null,
      meshHash: null,
      archivedAt: null,
      overtakenAttemptId: null,
    };
    const created = tx
      .insert(tables.jobs)
      .values({ ...need, revision: 1, name: `${job.name}, copy`, createdAt: new Date() })
      .returning()
      .get();
    const mateIds = new Map(
      queries.listMates(tx, jobId).map(({ id, ...mate }) => [
        id,
        tx
          .insert(tables.mates)
          .values({ ...mate, jobId: created.id })
          .returning()
          .get().id,
      ]),
    );
    copyWhatIsOfThePart(tx, jobId, created.id);
    const featureIds = new Map<number, number>();
    for (const { id, ...feature } of queries.listFeatures(tx, jobId)) {
      const mateId = feature.mateId === null ? null : (mateIds.get(feature.mateId) ?? null);
      const copy = tx
        .insert(tables.features)
        .values({ ...feature, jobId: created.id, mateId })
        .returning()
        .get();
      featureIds.set(id, copy.id);
    }
    if (job.solid !== null) {
      const solid = renumberRecipe(job.solid, (id) => featureIds.get(id));
      if (solid !== undefined)
        tx.update(tables.jobs).set({ solid }).where(eq(tables.jobs.id, created.id)).run();
    }
    return ok(created.id);
  });
}
