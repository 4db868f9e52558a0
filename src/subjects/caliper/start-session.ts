import type { PartState } from '@/core/metrology';
import { type Db, queries, tables } from '@/store';

interface NewSession {
  readonly jobId: number;
  /** The print that lies on the bench; the newest of the job when left out. */
  readonly printId?: number;
  readonly instrumentId: number;
  readonly zeroMm: number;
  readonly partC?: number;
  readonly instrumentC?: number;
  readonly state: PartState;
  readonly warm: boolean;
}

/** Starts a sitting: the instrument, its zero, temperatures and the part's state for all readings of one print until the next. */
export function startSession(db: Db, wanted: NewSession): number {
  const newest = queries.listAttempts(db, wanted.jobId).at(-1)?.prints.at(-1)?.id;
  const isOwn = wanted.printId !== undefined && queries.isPrintOf(db, wanted.jobId, wanted.printId);
  const printId = isOwn ? wanted.printId : newest;
  return db
    .insert(tables.sessions)
    .values({ ...wanted, printId, startedAt: new Date() })
    .returning()
    .get().id;
}
