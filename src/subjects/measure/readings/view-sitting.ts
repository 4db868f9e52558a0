import { type Db, tables } from '@/store';
import { lastSession, listInstruments, openSession } from '@/subjects/measure/calipers';
import type { JobView } from '@/subjects/job/jobs';

type Session = typeof tables.sessions.$inferSelect;

/** What a measuring sitting needs: its session if one is open for this print, else what to start one from. */
interface Sitting {
  readonly instruments: readonly (typeof tables.instruments.$inferSelect)[];
  readonly remembered?: Session;
  readonly open?: { readonly session: Session; readonly instrument: typeof tables.instruments.$inferSelect };
  /** The print came off a simulated printer: its sizes can be read with the simulated caliper. */
  readonly simulatedPrint: boolean;
}

/** A session belongs to the print that was measured when it began; any other print only uses it as a default. */
export function sitDown(db: Db, view: JobView, printId = view.current?.printId): Sitting {
  const last = openSession(db, view.job.id);
  const isOpen = last !== undefined && last.session.printId === printId;
  return {
    instruments: listInstruments(db),
    remembered: lastSession(db, view.job.id),
    open: isOpen ? last : undefined,
    simulatedPrint: (view.profile?.printer.simulatedSeed ?? null) !== null,
  };
}
