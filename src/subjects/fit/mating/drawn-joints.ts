import type { Db } from '@/store';
import type { DrawnJoint, JobView } from '@/subjects/job/jobs';
import { viewJoints } from './view-joints';

/** The joints of a job as the next attempt's file has them, with the chance to come free that is expected of each. */
export function drawnJoints(db: Db, view: JobView): DrawnJoint[] {
  return (viewJoints(db, view) ?? []).map(({ joint, wanted }) => ({
    jointId: joint.id,
    gapMm: joint.gapMm * joint.scale,
    heightGapMm: joint.heightGapMm === null ? null : joint.heightGapMm * joint.scale,
    scale: joint.scale,
    free: wanted.free,
  }));
}
