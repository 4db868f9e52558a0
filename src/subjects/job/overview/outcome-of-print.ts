import { type Outcome, outcomeOf } from '@/core/measure';
import type { Db } from '@/store';
import { jointsOfPrint, type PrintedJoint } from '@/subjects/fit/mating';
import type { PrintView } from '@/subjects/job/jobs';

export interface PrintFound {
  /** Joints printed in place that are in its attempt. */
  readonly joints: readonly PrintedJoint[];
  readonly outcome: Outcome;
}

/** What a print came to: its sizes and its joints together. */
export function foundInPrint(db: Db, jobId: number, print: PrintView | undefined): PrintFound {
  if (print === undefined) return { joints: [], outcome: outcomeOf([], false) };
  const joints = jointsOfPrint(db, jobId, print.attemptId, print.printId).filter(
    ({ gapMm }) => gapMm !== undefined,
  );
  return { joints, outcome: outcomeOf([...print.features, ...joints], print.printId !== undefined) };
}
