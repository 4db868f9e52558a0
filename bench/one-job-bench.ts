/**
 * A workshop with one job that is printed many times on one printer: this many plates of two, every tenth of them
 * failed.
 */
import path from 'node:path';
import { expectOk } from '@/core/kit';
import { type Db, openDb, queries, tables } from '@/store';
import { addFeature, createJob, startAttempt, viewJob } from '@/subjects/job/jobs';
import { noteFailure, noteWell } from '@/subjects/log';
import { layOnPlate } from '@/subjects/print/plate';
import { changePrinter, createProfile } from '@/subjects/signature';
import { giveLayers } from '@/testing/plate';
import { failed, printed } from '@/testing/printed';
import { KINDS } from './kinds';

const HOUR_MS = 3_600_000;
const EVERY = 10;

/** One plate through the verbs, as people print it. */
function printOnce(db: Db, jobId: number, isFailed: boolean): number {
  const runId = expectOk(layOnPlate(db, jobId, { copies: 2, gapMm: 2 }));
  printed({ db, runId }, runId, 3);
  const [{ piece }] = queries.listPieces(db, runId);
  if (isFailed) expectOk(noteFailure(db, runId, failed({ pieceIds: [piece.id], partMm: [5, 5], layer: 80 })));
  else expectOk(noteWell(db, runId));
  return runId;
}

/** Plates like one that was printed, each some hours before the other; rows are copied, as thousands of verbs would take an hour. */
function copyPlate(db: Db, runId: number, hoursBefore: number): void {
  const run = queries.findRun(db, runId)!;
  const earlier = (at: Date | null) => at && new Date(at.getTime() - hoursBefore * HOUR_MS);
  const times = {
    createdAt: earlier(run.createdAt)!,
    startedAt: earlier(run.startedAt),
    endedAt: earlier(run.endedAt),
    wellAt: earlier(run.wellAt),
  };
  const copy = db
    .insert(tables.runs)
    .values({ ...run, ...times, id: undefined })
    .returning({ id: tables.runs.id })
    .get().id;
  const pieceOf = new Map<number, number>();
  for (const { piece, print } of queries.listPieces(db, runId)) {
    const printRow = print!;
    const printId = db
      .insert(tables.prints)
      .values({
        ...printRow,
        id: undefined,
        name: `${printRow.name} ${copy}`,
        madeAt: earlier(printRow.madeAt)!,
        runId: copy,
      })
      .returning({ id: tables.prints.id })
      .get().id;
    const { id } = db
      .insert(tables.runPieces)
      .values({ ...piece, id: undefined, runId: copy, printId })
      .returning({ id: tables.runPieces.id })
      .get();
    pieceOf.set(piece.id, id);
  }
  for (const failure of queries.listFailures(db, [runId]))
    db.insert(tables.failures)
      .values({
        ...failure,
        id: undefined,
        clientKey: `${failure.clientKey} ${copy}`,
        runId: copy,
        pieceId: failure.pieceId && pieceOf.get(failure.pieceId)!,
      })
      .run();
}

/** Returns the printer of a new bench with so many plates of one job. */
export function makeOneJobBench(folder: string, plates: number): number {
  const db = openDb(path.join(folder, 'mellow.db'));
  const profileId = expectOk(
    createProfile(db, {
      printerName: 'Bench',
      simulated: true,
      resinName: 'Resin',
      profileName: 'profile',
      layerMm: 0.05,
      lot: '',
    }),
  );
  const { printerId } = queries.findProfile(db, profileId)!.profile;
  changePrinter(db, printerId, { rooms: { plate: [120, 70, 150] }, layerSeconds: 8 });
  const jobId = createJob(db, 'The one job', profileId);
  const limits = { lowerDeviationMm: -0.08, upperDeviationMm: 0.08 };
  expectOk(addFeature(db, jobId, { name: 'width', kind: KINDS[0], targetMm: 20, ...limits }));
  giveLayers(db, jobId);
  expectOk(startAttempt(db, viewJob(db, jobId)!, { lever: 'drawn', reason: '', drawnMm: new Map() }));
  const [bad, good] = [printOnce(db, jobId, true), printOnce(db, jobId, false)];
  db.transaction((tx) => {
    for (let i = 2; i < plates; i++) copyPlate(tx, i % EVERY === 0 ? bad : good, 4 * i);
  });
  db.$client.close();
  return printerId;
}
