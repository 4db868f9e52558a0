import type { PartFacts } from '@/core/resin';
import { type Db, queries } from '@/store';
import { countCrevices } from '@/subjects/part';
import { listJoints } from '@/subjects/fit/mating';
import type { JobView } from '@/subjects/job/jobs';
import { meanWallMm } from './view-plate';

/** What affects the handling of a part, and of a print of it that may be hollow; every process card is made from these. */
export function partFactsOf(db: Db, view: JobView, shellMm?: number): PartFacts {
  const joints = listJoints(db, view.job.id);
  return {
    claims: view.job.claims,
    // A shell keeps liquid inside, and is as thick as its wall.
    crevices: countCrevices(db, view) + (shellMm === undefined ? 0 : 1),
    wallMm: shellMm ?? meanWallMm(db, view),
    thinLinks: joints.length > 0,
    scale: joints[0]?.scale,
  };
}

/** The same of one print, with the shell it was sliced with. */
export const partFactsOfPrint = (db: Db, view: JobView, printId: number): PartFacts =>
  partFactsOf(db, view, queries.findPieceOfPrint(db, printId)?.wallMm ?? undefined);
