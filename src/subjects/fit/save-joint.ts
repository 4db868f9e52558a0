import { and, eq } from 'drizzle-orm';
import type { JointKind } from '@/core/fits';
import { type Db, tables } from '@/store';
import { bumpRevision, noteLedger } from '@/subjects/records';

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
  if (jointId === undefined)
    db.insert(joints)
      .values({ jobId, ...values })
      .run();
  else
    db.update(joints)
      .set(values)
      .where(and(eq(joints.id, jointId), eq(joints.jobId, jobId)))
      .run();
  noteLedger(
    db,
    jobId,
    'fit',
    `${input.name}: gap ${input.gapMm} per side`,
    `${input.kind}, wanted at ${Math.round(input.scale * 100)} %`,
  );
  bumpRevision(db, jobId);
}
