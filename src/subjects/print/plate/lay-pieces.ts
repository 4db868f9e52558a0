import { and, eq, inArray } from 'drizzle-orm';
import { type Footprint, packPlate } from '@/core/print';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { type JobView, viewJobUnlearned } from '@/subjects/job/jobs';
import { waitingRun } from './open-run';
import { bedOf, type Bed, viewItems } from './view-plate';
import type { PlateIssue } from './words-plate';

/** More copies than this are no plate, but a slip of the finger. */
export const MOST_COPIES = 500;

/** Footprint of a part of which the layers were not read yet: it is packed again when they were. */
const UNREAD_MM = 20;

/** The newest attempt of a job, if it can be printed: the job is there, and nothing overtook it. */
function printable(db: Db, jobId: number): Result<{ view: JobView; attemptId: number }, PlateIssue> {
  const view = viewJobUnlearned(db, jobId);
  const attempt = view?.attempts.at(-1);
  if (view === undefined || attempt === undefined) return fail({ code: 'gone' });
  if (view.job.overtakenAttemptId === attempt.id)
    return fail({ code: 'overtaken', job: view.job.name, attempt: attempt.number });
  return ok({ view, attemptId: attempt.id });
}

/** Lays the newest attempt of a job on a plate that waits, in so many copies, or on a new one of its printer and resin. */
export function layOnPlate(
  db: Db,
  jobId: number,
  { runId, gapMm, ...how }: HowLaid & { readonly runId?: number; readonly gapMm: number },
): Result<number, PlateIssue> {
  if (how.copies < 1 || how.copies > MOST_COPIES) return fail({ code: 'copies', most: MOST_COPIES });
  return allOrNothing<number, PlateIssue>(db, (tx) => {
    const wanted = printable(tx, jobId);
    if (!wanted.ok) return wanted;
    const { attemptId, view } = wanted.value;
    const { profileId } = view.attempts.at(-1)!;
    const waiting = runId === undefined ? undefined : waitingRun(tx, runId);
    if (waiting?.ok === false) return waiting;
    if (waiting !== undefined && waiting.value.profileId !== profileId)
      return fail({ code: 'otherProfile', job: view.job.name });
    const id = waiting?.value.id ?? newRun(tx, profileId);
    putCopies(tx, id, attemptId, how);
    arrange(tx, id, gapMm);
    return ok(id);
  });
}

function newRun(db: Db, profileId: number): number {
  return db.insert(tables.runs).values({ profileId, createdAt: new Date() }).returning().get().id;
}

/** In how many copies, and hollowed with what wall, mm; without one they are solid. */
interface HowLaid {
  readonly copies: number;
  readonly wallMm?: number;
}

/** Brings the copies of an attempt on a plate to so many; those laid down last go first. All are alike. */
function putCopies(db: Db, runId: number, attemptId: number, { copies, wallMm }: HowLaid): void {
  const { runPieces } = tables;
  const own = queries.listPieces(db, runId).filter(({ attempt }) => attempt.id === attemptId);
  for (let i = own.length; i < copies; i++)
    db.insert(runPieces).values({ runId, attemptId, xMm: 0, yMm: 0 }).run();
  const over = own.slice(copies).map(({ piece }) => piece.id);
  if (over.length > 0) db.delete(runPieces).where(inArray(runPieces.id, over)).run();
  const alike = and(eq(runPieces.runId, runId), eq(runPieces.attemptId, attemptId));
  db.update(runPieces)
    .set({ wallMm: wallMm ?? null })
    .where(alike)
    .run();
}

/** Changes the number of copies of an attempt on a plate; zero removes it. The plate is packed again. */
export function setCopies(
  db: Db,
  runId: number,
  { attemptId, gapMm, ...how }: HowLaid & { readonly attemptId: number; readonly gapMm: number },
): Result<void, PlateIssue> {
  if (how.copies < 0 || how.copies > MOST_COPIES) return fail({ code: 'copies', most: MOST_COPIES });
  return allOrNothing<void, PlateIssue>(db, (tx) => {
    const waiting = waitingRun(tx, runId);
    if (!waiting.ok) return waiting;
    // Only what lies there: another attempt is laid down first, which asks for its printer, resin and age.
    const isHere = queries.listPieces(tx, runId).some(({ attempt }) => attempt.id === attemptId);
    if (!isHere) return fail({ code: 'gone' });
    putCopies(tx, runId, attemptId, how);
    arrange(tx, runId, gapMm);
    return ok(undefined);
  });
}

/** Packs everything on a plate again. */
export function arrangePlate(db: Db, runId: number, gapMm: number): Result<void, PlateIssue> {
  return allOrNothing<void, PlateIssue>(db, (tx) => {
    const waiting = waitingRun(tx, runId);
    if (!waiting.ok) return waiting;
    arrange(tx, runId, gapMm);
    return ok(undefined);
  });
}

function footprintOf(item: ReturnType<typeof viewItems>[number]): Footprint {
  const { attemptId, sizeMm, pieces } = item;
  const [widthMm, depthMm] = sizeMm ?? [UNREAD_MM, UNREAD_MM];
  return { id: attemptId, widthMm, depthMm, copies: pieces.length };
}

function arrange(db: Db, runId: number, gapMm: number): void {
  const bed: Bed = bedOf(db, runId);
  const items = viewItems(db, runId);
  const { placed } = packPlate(items.map(footprintOf), { ...bed, gapMm });
  for (const { attemptId, pieces } of items) {
    const places = placed.filter(({ id }) => id === attemptId);
    pieces.forEach(({ id }, i) => {
      const place = places[i];
      // What finds no room lies behind the plate, where it is seen and taken off or moved.
      const { xMm, yMm, isTurned } = place ?? { xMm: 0, yMm: bed.depthMm, isTurned: false };
      db.update(tables.runPieces).set({ xMm, yMm, isTurned }).where(eq(tables.runPieces.id, id)).run();
    });
  }
}

/** Puts one piece somewhere else. */
export function movePiece(
  db: Db,
  runId: number,
  {
    pieceId,
    ...place
  }: { readonly pieceId: number; readonly xMm: number; readonly yMm: number; readonly isTurned: boolean },
): Result<void, PlateIssue> {
  const waiting = waitingRun(db, runId);
  if (!waiting.ok) return waiting;
  const { runPieces } = tables;
  const { changes } = db
    .update(runPieces)
    .set(place)
    .where(and(eq(runPieces.id, pieceId), eq(runPieces.runId, runId)))
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}

/** Takes a plate off the list before it was started. */
export function putPlateAway(db: Db, runId: number): Result<void, PlateIssue> {
  const waiting = waitingRun(db, runId);
  if (!waiting.ok) return waiting;
  db.update(tables.runs).set({ putAwayAt: new Date() }).where(eq(tables.runs.id, runId)).run();
  return ok(undefined);
}
