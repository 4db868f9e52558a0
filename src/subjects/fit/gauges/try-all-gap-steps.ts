import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries } from '@/store';
import { touchSimulatedGapStep } from '@/subjects/simulated';
import type { SimulatedIssue } from '@/subjects/simulated/shared';
import { recordGapStep } from './record-gap-step';

/** Lets the simulated hand try the steps of a simulated print of this job, all of them or none. */
export function tryAllGapSteps(
  db: Db,
  jobId: number,
  printId: number,
  rungs: readonly number[],
): Result<void, SimulatedIssue> {
  return allOrNothing(db, (tx) => {
    if (!queries.isPrintOf(tx, jobId, printId)) return fail({ code: 'gone' });
    for (const rung of rungs) {
      const touched = touchSimulatedGapStep(tx, printId, rung);
      if (!touched.ok) return touched;
      const clientKey = `simulated-${printId}-${rung}`;
      recordGapStep(tx, { clientKey, printId, rung, outcome: touched.value, state: 'green' });
    }
    return ok(undefined);
  });
}
