import { and, eq } from 'drizzle-orm';
import type { JointKind } from '@/core/fit/mating';
import { type Db, tables } from '@/store';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import type { FitEntry } from './words-decisions';

export interface JointInput {
  readonly name: string;
  readonly kind: JointKind;
  readonly gapMm: number;
  readonly heightGapMm?: number;
  readonly pinMm: number;
  readonly spanMm: number;
  readonly scale: number;
  readonly mostAngleDeg?: number;
  readonly mostLateralMm?: number;
  readonly freed: 'green' | 'cured';
}

/** Adds a joint to a job, or changes the one named. */
export function saveJoint(db: Db, jobId: number, input: JointInput, jointId?: number): void {
  const values = {
    ...input,
    heightGapMm: input.heightGapMm ?? null,
    mostAngleDeg: input.mostAngleDeg ?? null,
    mostLateralMm: input.mostLateralMm ?? null,
  };
  const { joints } = tables;
  db.transaction((tx) => {
    if (jointId === undefined)
      tx.insert(joints)
        .values({ jobId, ...values })
        .run();
    else
      tx.update(joints)
        .set(values)
        .where(and(eq(joints.id, jointId), eq(joints.jobId, jobId)))
        .run();
    const { name, kind, gapMm, scale } = input;
    recordDecision<FitEntry>(tx, jobId, 'fit', { code: 'jointKept', name, kind, gapMm, scale });
    bumpRevision(tx, jobId);
  });
}
