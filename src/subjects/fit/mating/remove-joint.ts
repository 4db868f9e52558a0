import { and, eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';

export function removeJoint(db: Db, jobId: number, jointId: number): void {
  const { joints } = tables;
  db.transaction((tx) => {
    const { changes } = tx
      .update(joints)
      .set({ removedAt: new Date() })
      .where(and(eq(joints.id, jointId), eq(joints.jobId, jobId)))
      .run();
    if (changes > 0) bumpRevision(tx, jobId);
  });
}
