import { eq } from 'drizzle-orm';
import { type Db, rememberPrinted, tables } from '@/store';
import { drawnControl } from '@/subjects/signature';

interface PrintRun {
  /** Copies that came off together; one when left out. */
  readonly copies?: number;
  /** Why it was printed although findings that could lose it were open. */
  readonly despite?: string;
  /** Place of the part's centre on the plate, from the plate's centre, mm; unknown for several copies. */
  readonly place?: { readonly xMm: number; readonly yMm: number };
  /** Temperature of the room, °C. */
  readonly roomC?: number;
  /** The run of the printer, with where each copy lay; then the places say how many there are. */
  readonly ofRun?: {
    readonly runId: number;
    readonly madeAt: Date;
    readonly places: readonly { readonly xMm: number; readonly yMm: number; readonly isTurned: boolean }[];
    readonly brokenNote: string;
  };
}

/** The control piece of a profile stands beside every part that is printed: it is drawn with it. */
function drawControlBeside(db: Db, attempt: typeof tables.attempts.$inferSelect): void {
  const control = drawnControl(db, attempt.profileId);
  if (control === undefined || control.feature.jobId === attempt.jobId) return;
  const { feature, drawnMm } = control;
  db.insert(tables.drawnSizes)
    .values({ attemptId: attempt.id, featureId: feature.id, drawnMm })
    .onConflictDoNothing()
    .run();
}

/** The name of a copy of a run: A2, of a second run A2.2, of several copies A2-1, A2-2. */
function nameOf(attempt: number, run: number, copy: number, copies: number): string {
  const ofRun = run === 1 ? `A${attempt}` : `A${attempt}.${run}`;
  return copies === 1 ? ofRun : `${ofRun}-${copy}`;
}

/**
 * Notes that an attempt, of this job where one is named, was printed; again is another run of it. Every copy of a run is
 * a print of its own. Gives the id of the first. Throws RangeError where there is no such attempt.
 */
export function notePrint(db: Db, attemptId: number, jobId?: number, wanted: PrintRun = {}): number {
  return notePrints(db, attemptId, jobId, wanted)[0];
}

/** The same, with the ids of all copies. */
export function notePrints(db: Db, attemptId: number, jobId?: number, wanted: PrintRun = {}): number[] {
  const { attempts, prints } = tables;
  const { despite = '', place, roomC, ofRun } = wanted;
  const copies = ofRun?.places.length ?? wanted.copies ?? 1;
  const placeOf = (i: number) => {
    if (ofRun === undefined) return copies === 1 ? { placeXMm: place?.xMm, placeYMm: place?.yMm } : {};
    const { xMm, yMm, isTurned } = ofRun.places[i];
    const { runId, brokenNote } = ofRun;
    return { placeXMm: xMm, placeYMm: yMm, isTurned, runId, brokenNote };
  };
  return db.transaction((tx) => {
    const attempt = tx.select().from(attempts).where(eq(attempts.id, attemptId)).get();
    if (attempt === undefined || (jobId !== undefined && attempt.jobId !== jobId))
      throw new RangeError(`notePrint: there is no attempt ${attemptId}`);
    const before = tx.select().from(prints).where(eq(prints.attemptId, attemptId)).all();
    const run = 1 + Math.max(0, ...before.map((print) => print.run));
    const madeAt = ofRun?.madeAt ?? new Date();
    const ids = Array.from({ length: copies }, (_, i) => {
      const copy = i + 1;
      const name = nameOf(attempt.number, run, copy, copies);
      return tx
        .insert(prints)
        .values({ attemptId, name, madeAt, run, copy, despite, roomC, ...placeOf(i) })
        .returning()
        .get().id;
    });
    drawControlBeside(tx, attempt);
    rememberPrinted(tx, attemptId);
    return ids;
  });
}
