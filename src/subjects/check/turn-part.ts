import { eq } from 'drizzle-orm';
import { turnPoint } from '@/core/findings';
import { type Db, tables } from '@/store';
import { keepPartFile } from '@/subjects/job';
import { noteLedger } from '@/subjects/records';
import type { CheckEntry } from './words-ledger';

/** How a part was turned: a rotation, row by row, then a lift onto the plate, mm. */
export interface Turn {
  readonly rotation: readonly number[];
  readonly liftMm: number;
}

/**
 * Keeps the turned file as the job's part and takes the places of its features along, in one go. Their directions stay
 * as they were typed.
 */
export function turnPart(
  db: Db,
  jobId: number,
  file: { readonly meshHash: string; readonly name: string },
  { rotation, liftMm }: Turn,
): void {
  const { features } = tables;
  db.transaction((tx) => {
    keepPartFile(tx, jobId, file.meshHash, file.name);
    const placed = tx.select().from(features).where(eq(features.jobId, jobId)).all();
    for (const { id, anchor } of placed) {
      if (anchor === null) continue;
      const [x, y, z] = turnPoint(rotation, anchor);
      tx.update(features)
        .set({ anchor: [x, y, z + liftMm] })
        .where(eq(features.id, id))
        .run();
    }
    noteLedger<CheckEntry>(tx, jobId, 'check', { code: 'partTurned' });
  });
}
