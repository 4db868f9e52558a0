import type { PartState } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import type { SessionIssue } from './words-issues';

interface NewSession {
  readonly jobId: number;
  /** The print that is measured; the newest of the job if left out. */
  readonly printId?: number;
  readonly instrumentId: number;
  readonly zeroMm: number;
  readonly partC?: number;
  readonly instrumentC?: number;
  readonly state: PartState;
  readonly warm: boolean;
}

/** How far a print has come in each state: it never goes back. */
const AGE: Readonly<Record<PartState, number>> = { green: 0, washed: 1, cured: 2, coated: 3, aged: 3 };

/** Starts a sitting; one in a state that the print has left behind, by what was read of it already, is refused. */
export function sitAt(
  db: Db,
  wanted: NewSession & { readonly printId: number },
): Result<number, SessionIssue> {
  const before = queries
    .listStandingReadings(db, queries.ofPrint(wanted.printId))
    .map(({ session }) => session.state)
    .find((state) => AGE[state] > AGE[wanted.state]);
  if (before !== undefined) return fail({ code: 'noWayBack', wanted: wanted.state, read: before });
  return ok(startSession(db, wanted));
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
