import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { planDraw } from '@/subjects/job/correct';
import {
  addFeature,
  changeFeature,
  keepPartFile,
  notePrint,
  startAttempt,
  viewJob,
} from '@/subjects/job/jobs';
import { parseForm } from '@/subjects/kit/shared';
import { exportReadings, importReadings, recordReading } from '@/subjects/measure/readings';
import { newestSignature } from '@/subjects/signature';
import { readyBench, WIDTH } from '@/testing/bench';
import { foundFeatureForm } from '../input-check';
import { setPrintSetup } from '../set-print-setup';
import { turnPart } from '../turn-part';

/** Onto its side: what ran along X runs along Z. */
const ONTO_SIDE = { name: 'turned.stl', rotation: [0, 0, 1, 0, 1, 0, -1, 0, 0], liftMm: 20 };

function keepFile(bench: ReturnType<typeof readyBench>, letter: string): string {
  const meshHash = letter.repeat(64);
  keepPartFile(bench.db, bench.jobId, meshHash, 'part.stl');
  return meshHash;
}

const featureOf = ({ db, jobId }: ReturnType<typeof readyBench>, id: number) =>
  viewJob(db, jobId)!.current!.features.find((feature) => feature.id === id)!;

test('a size picked on the model keeps its limits as deviations, through to its verdict and what to draw', () => {
  const bench = readyBench();
  const { db, jobId, attemptId, sessionId } = bench;
  const picked = new FormData();
  const fields = {
    name: 'Hole',
    sense: 'inside',
    shape: 'flat',
    axis: 'X',
    targetMm: '10',
    toleranceMm: '0.1',
  };
  for (const [name, value] of Object.entries({ ...fields, base: '', angleRad: '', anchor: '1,2,3' }))
    picked.set(name, value);
  const featureId = expectOk(addFeature(db, jobId, expectOk(parseForm(foundFeatureForm, picked))));
  const printId = notePrint(db, attemptId);
  const clientKey = 'hole-1';
  expectOk(recordReading(db, { clientKey, sessionId, featureId, printId, readingMm: 10, confirmed: false }));
  expect(featureOf(bench, featureId).verdict).toMatchObject({ kind: 'in' });
  const line = planDraw(viewJob(db, jobId)!)!.lines.find(({ feature }) => feature.id === featureId)!;
  expect(line.next.drawMm).toBeGreaterThan(9.8);
  expect(line.next.drawMm).toBeLessThan(10.3);
});

test('what was read before the part was turned still counts in the direction it was printed in', () => {
  const bench = readyBench();
  const { db, jobId, width, profileId, reading } = bench;
  const first = keepFile(bench, 'a');
  for (const readingMm of [20.04, 20.05]) expectOk(recordReading(db, reading(width, readingMm)));
  const before = newestSignature(db, profileId);
  const effect = expectOk(turnPart(db, jobId, { ...ONTO_SIDE, meshHash: first }));
  expect(effect.turned).toEqual([{ name: 'Width', axis: 'Z' }]);
  expect(effect.unknown).toEqual(['Bore']);
  expect(effect.opened).toEqual([{ code: 'drawn', attempt: 1 }]);
  expect(featureOf(bench, width).kind).toMatchObject({ axis: 'X' });
  expect(queries.listFeatures(db, jobId).find(({ id }) => id === width)).toMatchObject({
    axis: 'Z',
    base: 'supported',
  });
  const after = newestSignature(db, profileId);
  expect(after.signature.observations[0].kind).toMatchObject({ axis: 'X' });
  expect(after.signature.parameters).toEqual(before.signature.parameters);
});

test('a turned feature starts a habit of its own, and is drawn for its new direction', () => {
  const bench = readyBench();
  const { db, jobId, width, profileId, reading } = bench;
  const meshHash = keepFile(bench, 'a');
  for (const readingMm of [20.1, 20.11, 20.1]) expectOk(recordReading(db, reading(width, readingMm)));
  expectOk(turnPart(db, jobId, { ...ONTO_SIDE, meshHash }));
  const attemptId = expectOk(
    startAttempt(db, viewJob(db, jobId)!, { lever: 'drawn', reason: 'turned', drawnMm: new Map() }),
  );
  const printId = notePrint(db, attemptId);
  expectOk(recordReading(db, { ...reading(width, 19.9), printId }));
  const { observations } = newestSignature(db, profileId).signature;
  expect(observations.map(({ kind }) => kind.axis)).toEqual(['X', 'Z']);
  expect(new Set(observations.map(({ feature }) => feature)).size).toBe(2);
});

test('a direction that had been typed wrong is put right in what was printed; one that changes is not', () => {
  for (const [holdsFor, axis] of [
    ['all', 'Y'],
    ['next', 'X'],
  ] as const) {
    const bench = readyBench();
    const { db, jobId, width } = bench;
    const { revision } = queries.findJob(db, jobId)!;
    const kind = { ...WIDTH, axis: 'Y' } as const;
    const limits = { lowerDeviationMm: -0.08, upperDeviationMm: 0.08 };
    expectOk(
      changeFeature(db, jobId, width, { name: 'Width', kind, targetMm: 20, ...limits, revision, holdsFor }),
    );
    expect(featureOf(bench, width).kind.axis).toBe(axis);
  }
});

test('readings taken before and after a turn leave and come back as they were', () => {
  const bench = readyBench();
  const { db, jobId, width, reading } = bench;
  const meshHash = keepFile(bench, 'a');
  expectOk(recordReading(db, reading(width, 20.04)));
  expectOk(turnPart(db, jobId, { ...ONTO_SIDE, meshHash }));
  const attemptId = expectOk(
    startAttempt(db, viewJob(db, jobId)!, { lever: 'drawn', reason: 'turned', drawnMm: new Map() }),
  );
  expectOk(recordReading(db, { ...reading(width, 19.9), printId: notePrint(db, attemptId) }));
  const file = exportReadings(db, jobId);
  expect(expectOk(importReadings(db, jobId, file))).toMatchObject({ readings: 0, newFeatures: 0 });
  expect(exportReadings(db, jobId)).toBe(file);
});

test('a face that lands on the plate is a plate face, and seen faces turn along', () => {
  const bench = readyBench();
  const { db, jobId } = bench;
  const meshHash = keepFile(bench, 'a');
  setPrintSetup(db, jobId, { kind: 'plate' });
  const limits = { lowerDeviationMm: -0.1, upperDeviationMm: 0.1 };
  // From x = 0 to x = 20: turned onto its side, its face at x = 20 comes to lie on the plate.
  const anchor: [number, number, number] = [0, 5, 5];
  const length = expectOk(
    addFeature(db, jobId, { name: 'Length', kind: WIDTH, targetMm: 20, ...limits, anchor }),
  );
  expectOk(turnPart(db, jobId, { ...ONTO_SIDE, meshHash }));
  expect(queries.listFeatures(db, jobId).find(({ id }) => id === length)).toMatchObject({
    axis: 'Z',
    base: 'plate',
  });
});
