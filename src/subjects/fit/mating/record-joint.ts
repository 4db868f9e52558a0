import { and, eq } from 'drizzle-orm';
import type { JointOutcome } from '@/core/fit/mating';
import type { PartState } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { recordDecision } from '@/subjects/workshop/records';
import type { FitEntry } from './words-decisions';

interface NewJointOutcome {
  readonly clientKey: string;
  readonly jointId: number;
  readonly printId: number;
  readonly outcome: JointOutcome;
  readonly playMm?: number;
  readonly playDeg?: number;
  readonly state: PartState;
}

/** Keeps what the hand found at a joint of a print, once; the last outcome of a joint in a print counts. */
export function recordJoint(
  db: Db,
  jobId: number,
  wanted: NewJointOutcome,
): Result<void, { readonly code: 'gone' }> {
  const { joints, jointOutcomes, prints } = tables;
  const joint = db
    .select()
    .from(joints)
    .where(and(eq(joints.id, wanted.jointId), eq(joints.jobId, jobId)))
    .get();
  if (joint === undefined || !queries.isPrintOf(db, jobId, wanted.printId)) return fail({ code: 'gone' });
  return db.transaction((tx) => {
    const { changes } = tx
      .insert(jointOutcomes)
      .values({ ...wanted, takenAt: new Date() })
      .onConflictDoNothing()
      .run();
    if (changes === 0) return ok(undefined);
    const print = tx.select().from(prints).where(eq(prints.id, wanted.printId)).get()!;
    const { outcome } = wanted;
    recordDecision<FitEntry>(tx, jobId, 'measure', {
      code: 'jointFound',
      name: joint.name,
      outcome,
      print: print.name,
    });
    return ok(undefined);
  });
}
