import { expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { queries, tables } from '@/db';
import { emptyBench, readyBench, standing } from '@/testing/bench';
import { recordReading } from '@/services/take-readings';

test('foreign keys are held: a reading of a feature that is not there is no reading', () => {
  const { db, reading } = readyBench();
  const { clientKey, sessionId, printId } = reading(1, 9.5);
  const orphan = { clientKey, sessionId, printId, featureId: 9999, readingMm: 9.5, takenAt: new Date() };
  expect(() => db.insert(tables.readings).values(orphan).run()).toThrow(/FOREIGN KEY/);
});

test('the same client key cannot be stored twice', () => {
  const { db, bore, reading } = readyBench();
  const { confirmed, ...row } = reading(bore, 9.5);
  expect(confirmed).toBe(false);
  db.insert(tables.readings)
    .values({ ...row, takenAt: new Date() })
    .run();
  expect(() =>
    db
      .insert(tables.readings)
      .values({ ...row, takenAt: new Date() })
      .run(),
  ).toThrow(/UNIQUE/);
});

test('a job has each attempt number once', () => {
  const { db, jobId, profileId } = readyBench();
  const again = { jobId, profileId, number: 1, createdAt: new Date() };
  expect(() => db.insert(tables.attempts).values(again).run()).toThrow(/UNIQUE/);
});

test('an empty bench is at the newest schema, with nothing on it', () => {
  const db = emptyBench();
  expect(queries.listJobs(db)).toEqual([]);
  expect(queries.listProfiles(db)).toEqual([]);
  expect(queries.findJob(db, 1)).toBeUndefined();
});

test('standing readings come oldest first, with what is needed to correct them', () => {
  const { db, bore, width, printId, reading } = readyBench();
  for (const [feature, mm] of [
    [bore, 9.5],
    [width, 20.1],
    [bore, 9.51],
  ] as const)
    recordReading(db, reading(feature, mm));
  const [first] = queries.listStandingReadings(db, queries.ofPrint(printId));
  expect(standing(db, printId)).toEqual([9.5, 20.1, 9.51]);
  expect(first).toMatchObject({
    drawnMm: 9.56,
    printName: 'A1',
    session: { zeroMm: 0 },
    instrument: { mpeMm: 0.02 },
  });
});

test('expectations are kept for every drawn size of every print', () => {
  const { db, profileId, bore, width, printId } = readyBench();
  const lines = queries.listExpectations(db, profileId);
  expect(lines.map(({ printId: print, featureId }) => [print, featureId])).toEqual([
    [printId, bore],
    [printId, width],
  ]);
  for (const { sdMm } of lines) expect(sdMm).toBeGreaterThan(0);
});

test('features are named with their jobs, put away or not', () => {
  const { db, profileId, jobId, bore } = readyBench();
  db.update(tables.features).set({ removedAt: new Date() }).where(eq(tables.features.id, bore)).run();
  expect(
    queries
      .nameFeatures(db, profileId)
      .map(({ feature, job }) => `${feature} of ${job}`)
      .sort(),
  ).toEqual(['Bore of Bushing', 'Width of Bushing']);
  expect(queries.listFeatures(db, jobId).map(({ name }) => name)).toEqual(['Width']);
});
