import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { FeatureKind } from '@/core/measure';
import { expectOk } from '@/core/kit';
import { type Connection, type Db, openBenchAt, openDb, queries } from '@/store';
import { createInstrument, startSession } from '@/subjects/measure/calipers';
import { addFeature, createJob, notePrint, startAttempt, viewJob } from '@/subjects/job/jobs';
import type { NeedChange } from '@/subjects/job/need';
import { createProfile } from '@/subjects/signature';

export const BORE: FeatureKind = { sense: 'inside', shape: 'round', axis: 'XY' };

export const WIDTH: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };

/** A need in which nothing is said; a test says what it is about. */
export const BLANK_NEED: Omit<NeedChange, 'revision'> = {
  name: 'Bushing',
  need: '',
  acceptance: '',
  rule: 'guarded',
  quantity: 1,
  dueOn: '',
  seenFaces: '',
  seenSides: [],
  fitState: 'cured',
  hottestWhen: '',
  loadWords: '',
  claims: [],
};

/** An empty bench in memory, its migrations run. */
export function emptyBench(): Connection {
  return openDb(':memory:');
}

/** A workshop with a job of two features, drawn, printed and ready to be measured. */
export function readyBench(db: Connection = emptyBench()) {
  const profileId = expectOk(
    createProfile(db, {
      printerName: 'Long Bench',
      pixelMm: 0.022,
      simulated: true,
      resinName: 'Otter Tough',
      profileName: 'p',
      layerMm: 0.05,
      lot: '',
    }),
  );
  const instrumentId = expectOk(
    createInstrument(db, {
      name: 'bench',
      mpeMm: 0.02,
      resolutionMm: 0.01,
      jawFlatMm: 0.3,
      jawFlatUnknown: false,
      simulated: true,
    }),
  );
  const jobId = createJob(db, 'Bushing', profileId);
  const limits = { lowerDeviationMm: -0.08, upperDeviationMm: 0.08 };
  const bore = expectOk(
    addFeature(db, jobId, {
      name: 'Bore',
      kind: BORE,
      targetMm: 9.56,
      ...limits,
      mateName: 'sleeve',
      mateMm: 9.47,
      mateU_mm: 0.01,
    }),
  );
  const width = expectOk(addFeature(db, jobId, { name: 'Width', kind: WIDTH, targetMm: 20, ...limits }));
  const attemptId = expectOk(
    startAttempt(db, viewJob(db, jobId)!, {
      lever: 'drawn',
      reason: '',
      drawnMm: new Map([
        [bore, 9.56],
        [width, 20],
      ]),
    }),
  );
  const printId = notePrint(db, attemptId);
  const sessionId = startSession(db, {
    jobId,
    instrumentId,
    zeroMm: 0,
    partC: 20,
    instrumentC: 20,
    state: 'cured',
    warm: false,
  });
  const reading = (featureId: number, readingMm: number, clientKey = crypto.randomUUID()) => ({
    clientKey,
    sessionId,
    featureId,
    printId,
    readingMm,
    confirmed: false,
  });
  return { db, profileId, instrumentId, jobId, bore, width, attemptId, printId, sessionId, reading };
}

/** The same in a data folder of its own, as a server holds it; `end` gives the folder back. */
export function benchOnDisk(root = mkdtempSync(path.join(tmpdir(), 'mellow-bench-'))) {
  const held = expectOk(openBenchAt(root));
  const opened = expectOk(held.opened);
  const end = () => {
    opened.db.$client.close();
    held.hold.release();
    rmSync(root, { recursive: true, force: true });
  };
  return { ...readyBench(opened.db), opened, root, folder: opened.folder, hold: held.hold, end };
}

export function standing(db: Db, printId: number): number[] {
  return queries.listStandingReadings(db, queries.ofPrint(printId)).map(({ readingMm }) => readingMm);
}
