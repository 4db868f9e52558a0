import type { PartState } from '@/core/metrology';
import { type Db, queries, tables } from '@/store';

interface NewSession {
  readonly jobId: number;
  readonly instrumentId: number;
  readonly zeroMm: number;
  readonly partC?: number;
  readonly instrumentC?: number;
  readonly state: PartState;
  readonly warm: boolean;
}

/** Starts a sitting: the instrument, its zero, temperatures and the part's state for all readings of the newest print until the next. */
export function startSession(db: Db, wanted: NewSession): number {
  const printId = queries.listAttempts(db, wanted.jobId).at(-1)?.prints.at(-1)?.id;
  return db
    .insert(tables.sessions)
    .values({ ...wanted, printId, startedAt: new Date() })
    .returning()
    .get().id;
}
