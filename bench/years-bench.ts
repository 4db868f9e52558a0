/**
 * A workshop with this many jobs, made through the use cases as people do: jobs, plates, prints, failures, readings and
 * gap tests.
 */
import path from 'node:path';
import type { FeatureKind } from '@/core/measure';
import { seededRandom, type SeededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { type Db, openDb, queries, tables } from '@/store';
import { createInstrument, startSession } from '@/subjects/measure/calipers';
import { createGauge, recordGapStep } from '@/subjects/fit/gauges';
import { addFeature, createJob, notePrint, startAttempt, viewJobUnlearned } from '@/subjects/job/jobs';
import { noteMaintenance, noteFailure, noteWell } from '@/subjects/log';
import { recordReadings, recordTry } from '@/subjects/measure/readings';
import { keepVat, layOnPlate } from '@/subjects/print/plate';
import { changePrinter, createProfile, type LearnedSignature, newestSignature } from '@/subjects/signature';
import { giveLayers } from '@/testing/plate';
import { failed, printed } from '@/testing/printed';
import { KINDS } from './kinds';

const LATER = () => undefined;

/** Returns the size that a printer of the workshop makes of a drawn size, mm. */
export function sizeOf(kind: FeatureKind, drawnMm: number, random: SeededRandom): number {
  const edge = kind.axis === 'Z' ? 0 : kind.sense === 'inside' ? -0.1 : 0.08;
  return drawnMm * 0.996 + edge + 0.02 * random.normal();
}

export const shown = (mm: number) => Math.round(mm * 100) / 100;

/** The last print of a workshop, where one more reading is taken. */
export interface Newest {
  readonly jobId: number;
  readonly printId: number;
  readonly featureId: number;
  readonly sessionId: number;
  readonly readingMm: number;
}

function makeProfiles(db: Db): number[] {
  return Array.from({ length: 6 }, (_, i) =>
    expectOk(
      createProfile(db, {
        printerName: `Bench ${i % 2}`,
        simulated: true,
        resinName: `Resin ${i % 3}`,
        profileName: `profile ${i}`,
        layerMm: 0.05,
        lot: '',
      }),
    ),
  );
}

interface Jobs {
  readonly profileId: number;
  readonly printerId: number;
  readonly instrumentId: number;
  readonly random: SeededRandom;
  readonly learned: LearnedSignature;
  /** Jobs after this one: its plate was printed so many days ago, two a day. */
  readonly after: number;
}

/** A plate of two copies, printed and looked at; a failed one is noted, and its vat cleared. */
function printPlate(db: Db, i: number, jobId: number, { printerId, after }: Jobs): void {
  giveLayers(db, jobId);
  const hoursAgo = 2 + 12 * after;
  const at = new Date(Date.now() - (hoursAgo - 1) * 3_600_000);
  const runId = expectOk(layOnPlate(db, jobId, { copies: 2, gapMm: 2 }));
  printed({ db, runId }, runId, hoursAgo);
  if (i % 5 !== 0) return void expectOk(noteWell(db, runId, at));
  const [{ piece }] = queries.listPieces(db, runId);
  expectOk(noteFailure(db, runId, failed({ pieceIds: [piece.id], partMm: [5, 5], layer: 80 }), at));
  expectOk(noteMaintenance(db, printerId, { kind: 'clearVat' }, at));
}

function fillJob(db: Db, i: number, by: Jobs): Newest {
  const { profileId, instrumentId, random, learned } = by;
  const jobId = createJob(db, `Job ${i}`, profileId);
  const features = Array.from({ length: 4 }, (_, f) => {
    const kind = KINDS[(i + f) % KINDS.length];
    const targetMm = shown(3 + 30 * random.uniform());
    const limits = { lowerDeviationMm: -0.08, upperDeviationMm: 0.08 };
    const mate = f === 0 ? { mateName: 'mate', mateMm: targetMm, mateU_mm: 0.01 } : {};
    return {
      kind,
      targetMm,
      id: expectOk(addFeature(db, jobId, { name: `size ${f}`, kind, targetMm, ...limits, ...mate })),
    };
  });
  let newest: Newest | undefined;
  for (let attempt = 0; attempt < 1 + (i % 2); attempt++) {
    const drawnMm = new Map(features.map(({ id, targetMm }) => [id, targetMm]));
    const view = { ...viewJobUnlearned(db, jobId)!, learned };
    const how = { lever: 'drawn', reason: attempt === 0 ? '' : 'again', drawnMm } as const;
    const attemptId = expectOk(startAttempt(db, view, how));
    if (attempt === 0) printPlate(db, i, jobId, by);
    const printId = notePrint(db, attemptId);
    const sessionId = startSession(db, { jobId, instrumentId, zeroMm: 0, state: 'cured', warm: false });
    const readings = features.flatMap(({ id, kind, targetMm }) => {
      const sizeMm = sizeOf(kind, targetMm, random);
      return [0, 1, 2].map(() => ({
        clientKey: crypto.randomUUID(),
        sessionId,
        printId,
        featureId: id,
        readingMm: shown(sizeMm + 0.007 * random.normal()),
        confirmed: true,
      }));
    });
    expectOk(recordReadings(db, readings, LATER));
    const word = { featureId: features[0].id, printId, word: 'right', state: 'cured' } as const;
    expectOk(recordTry(db, { ...word, clientKey: crypto.randomUUID() }, LATER));
    newest = { jobId, printId, sessionId, featureId: features[1].id, readingMm: readings[3].readingMm };
  }
  return newest!;
}

function addLadder(db: Db, i: number, profileId: number): void {
  const stepsMm = [0.1, 0.15, 0.2, 0.25, 0.3, 0.35];
  const spec = { kind: 'joint', joint: 'hinge', direction: 'plane', pinMm: 4, stepsMm } as const;
  const jobId = expectOk(createGauge(db, { name: `Gap test ${i}`, profileId, spec }));
  const printId = notePrint(db, viewJobUnlearned(db, jobId)!.attempts[0].id);
  stepsMm.forEach((gap, rung) =>
    expectOk(
      recordGapStep(db, {
        clientKey: crypto.randomUUID(),
        printId,
        rung: rung + 1,
        outcome: gap > 0.2 ? 'free' : 'fused',
        state: 'green',
      }),
    ),
  );
}

export function makeBench(folder: string, jobs: number): Newest {
  const db = openDb(path.join(folder, 'mellow.db'));
  const random = seededRandom(jobs);
  const profiles = makeProfiles(db);
  for (const { id } of db.select().from(tables.printers).all()) {
    changePrinter(db, id, { rooms: { plate: [120, 70, 150] }, layerSeconds: 8 });
    expectOk(keepVat(db, id, { capacityMl: 200, floorMl: 25, read: { by: 'volume', ml: 150 } }));
  }
  // What is drawn is expected by what was known at the start: learning 750 times is not what is measured here.
  const learned = new Map(profiles.map((id) => [id, newestSignature(db, id)]));
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
  let newest: Newest | undefined;
  for (let i = 0; i < jobs; i++) {
    const profileId = profiles[i % profiles.length];
    if (i % 10 === 0) addLadder(db, i, profileId);
    const { printerId } = queries.findProfile(db, profileId)!.profile;
    const known = { profileId, printerId, instrumentId, learned: learned.get(profileId)! };
    newest = fillJob(db, i, { ...known, random, after: jobs - 1 - i });
  }
  db.$client.close();
  return newest!;
}
