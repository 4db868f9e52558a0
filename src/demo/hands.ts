import { expectOk } from '@/core/kit';
import { wordOfClearance } from '@/core/simulated';
import { type Db, queries } from '@/store';
import { startSession } from '@/subjects/measure/calipers';
import { notePrint, startAttempt, viewJob } from '@/subjects/job/jobs';
import { recordReadings, recordTry } from '@/subjects/measure/readings';
import { closeJaws, simulatedSize } from '@/subjects/simulated';

/** Sitting in which the demo's own readings were taken. */
const CONDITIONS = { zeroMm: 0, partC: 21, instrumentC: 21, state: 'cured', warm: false } as const;

function newestPrint(db: Db, jobId: number): number {
  return queries.listAttempts(db, jobId).at(-1)!.prints.at(-1)!.id;
}

/** Reads every feature of a job's newest print with the simulated caliper, `times` times each. */
export function readAll(db: Db, jobId: number, instrumentId: number, times: number): void {
  const sessionId = startSession(db, { jobId, instrumentId, ...CONDITIONS });
  const printId = newestPrint(db, jobId);
  const readings = queries.listFeatures(db, jobId).flatMap(({ id: featureId }) =>
    Array.from({ length: times }, (_, i) => ({
      clientKey: `demo-${featureId}-${printId}-${i + 1}`,
      sessionId,
      featureId,
      printId,
      readingMm: expectOk(closeJaws(db, { featureId, printId, closing: i + 1, instrumentId })),
      confirmed: true,
    })),
  );
  expectOk(recordReadings(db, readings));
}

/** Tries features of the newest print on their mates: the hand says what the true clearance deserves. */
export function tryAll(db: Db, jobId: number, featureIds: readonly number[]): void {
  const printId = newestPrint(db, jobId);
  const mates = queries.listMates(db, jobId);
  for (const featureId of featureIds) {
    const { sizeMm, feature } = expectOk(simulatedSize(db, featureId, printId));
    const mateMm = mates.find(({ id }) => id === feature.mateId)!.sizeMm!;
    const side = feature.sense === 'inside' ? 1 : -1;
    const wished = [feature.lowerDeviationMm, feature.upperDeviationMm].map(
      (mm) => side * (feature.targetMm + mm - mateMm),
    );
    const [low, high] = wished.sort((a, b) => a - b);
    const word = wordOfClearance(side * (sizeMm - mateMm), [low, high], mateMm);
    const clientKey = `demo-try-${featureId}-${printId}`;
    recordTry(db, { clientKey, featureId, printId, word, state: 'cured' });
  }
}

/** Draws the next attempt at these sizes, targets where none is given, and prints it. */
export function printNext(
  db: Db,
  jobId: number,
  drawnMm: ReadonlyMap<number, number> = new Map(),
  reason = '',
): number {
  const view = viewJob(db, jobId)!;
  const all = new Map(view.features.map(({ id, targetMm }) => [id, drawnMm.get(id) ?? targetMm]));
  const attemptId = expectOk(startAttempt(db, view, { lever: 'drawn', reason, drawnMm: all }));
  return notePrint(db, attemptId);
}
