import { expectOk } from '@/core/kit';
import type { Db } from '@/store';
import type { FailureNoted } from '@/subjects/log/shared';
import { endRun, layOnPlate, startRun } from '@/subjects/print/plate';
import { type benchWithPlate, openChecklist, OPEN_HOUSE } from './plate';

const HOUR_MS = 3_600_000;
const DONE = { outcome: 'done', isSeen: true, reason: '', isUsable: true } as const;

/** Starts and ends a plate that waits, so many hours ago. */
export function printed(
  plate: { readonly db: Db; readonly runId: number },
  runId = plate.runId,
  hoursAgo = 1,
): number {
  const { db } = plate;
  openChecklist(db, runId);
  const now = new Date(Date.now() - (hoursAgo + 1) * HOUR_MS);
  expectOk(startRun(db, runId, { house: OPEN_HOUSE, now }));
  expectOk(endRun(db, runId, { ...DONE, endedAt: new Date(Date.now() - hoursAgo * HOUR_MS) }));
  return runId;
}

/** One more plate of the same job, printed. */
export function printedAgain(plate: ReturnType<typeof benchWithPlate>, hoursAgo: number, copies = 2) {
  return printed(plate, expectOk(layOnPlate(plate.db, plate.jobId, { copies, gapMm: 2 })), hoursAgo);
}

/** A failure of the whole plate, as it is tapped. */
export const failed = (more: Partial<FailureNoted> = {}): FailureNoted => ({
  clientKey: crypto.randomUUID(),
  pieceIds: [],
  kind: 'sheared',
  note: '',
  ...more,
});
