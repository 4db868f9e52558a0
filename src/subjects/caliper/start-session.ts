import type { PartState } from '@/core/metrology';
import { type Db, tables } from '@/store';

interface NewSession {
  readonly jobId: number;
  readonly instrumentId: number;
  readonly zeroMm: number;
  readonly partC?: number;
  readonly instrumentC?: number;
  readonly state: PartState;
  readonly warm: boolean;
}

/** Starts a sitting: the instrument, its zero, temperatures and the part's state for all readings until the next. */
export function startSession(db: Db, wanted: NewSession): number {
  return db
    .insert(tables.sessions)
    .values({ ...wanted, startedAt: new Date() })
    .returning()
    .get().id;
}
