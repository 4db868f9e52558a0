import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { AXES, BASES, type FeatureKind, findKindIssue, PART_STATES, SENSES, SHAPES } from '@/core/measure';
import { expectOk } from '@/core/kit';
import type { Target } from '@/core/signature';
import { queries, tables } from '@/store';
import { createInstrument, startSession } from '@/subjects/measure/calipers';
import { createJob } from '@/subjects/job/jobs';
import { formatTargetsCsv, parseTargetsCsv } from '@/subjects/job/jobs/shared';
import { readyBench } from '@/testing/bench';
import { lineOf, sizeMm } from '@/testing/strange-texts';
import { importReadings } from '../import-readings';
import { formatReadingsCsv, parseReadingsCsv, type ReadingRow } from '../input-readings-csv';
import { recordReading } from '../record-reading';
import { takeBackReading } from '../take-back-reading';
import { exportReadings } from '../view-readings-file';

/** Kinds that a feature can have; angles in steps that degrees hold exactly. */
const kind = (): fc.Arbitrary<FeatureKind> =>
  fc
    .record({
      sense: fc.constantFrom(...SENSES),
      shape: fc.constantFrom(...SHAPES),
      axis: fc.constantFrom(...AXES),
      base: fc.constantFrom(...BASES),
      degrees: fc.integer({ min: 0, max: 179 }),
    })
    .map(({ sense, shape, axis, base, degrees }) => ({
      sense,
      shape,
      axis,
      angleRad: axis === 'XY' && shape === 'flat' ? (degrees * Math.PI) / 180 : undefined,
      base: axis === 'Z' && sense === 'outside' ? base : undefined,
    }))
    .filter((each) => findKindIssue(each) === undefined);

const optional = <Value>(each: fc.Arbitrary<Value>) => fc.option(each, { nil: undefined });

const temperature = () => fc.double({ min: -50, max: 400, noNaN: true });

const reading = (): fc.Arbitrary<Omit<ReadingRow, 'line'>> =>
  fc.record({
    feature: lineOf(60),
    kind: kind(),
    drawnMm: sizeMm(),
    print: lineOf(40),
    state: optional(fc.constantFrom(...PART_STATES)),
    readingMm: sizeMm(),
    warm: fc.boolean(),
    instrument: optional(lineOf(40)),
    zeroMm: optional(fc.double({ min: -5, max: 5, noNaN: true })),
    partC: optional(temperature()),
    instrumentC: optional(temperature()),
    heightMm: optional(fc.double({ min: 0, max: 2000, noNaN: true })),
    takenAt: optional(fc.constant('2026-11-03T08:00:00.000Z')),
    key: optional(lineOf(80)),
  });

/** −0 is written as 0. */
const plain = <Value>(value: Value): Value =>
  JSON.parse(JSON.stringify(value, (_key, each) => (Object.is(each, -0) ? 0 : (each as unknown)))) as Value;

/** Names that differ in their kind must differ. */
const once = <Row extends { readonly feature: string }>(rows: readonly Row[]) => [
  ...new Map(rows.map((row) => [row.feature, row])).values(),
];

describe('what goes out as a file comes in as it was', () => {
  test('readings, with names and numbers of every kind', () => {
    fc.assert(
      fc.property(fc.array(reading(), { minLength: 1, maxLength: 8 }), (all) => {
        const rows = once(all);
        const back = expectOk(parseReadingsCsv(formatReadingsCsv(rows)));
        // An angle is written in degrees, with six digits behind the point.
        const facts = back.map((row) => ({ ...row, line: undefined }));
        facts.forEach((row, i) => {
          expect(row.kind.angleRad ?? 0).toBeCloseTo(rows[i].kind.angleRad ?? 0, 9);
        });
        const shape = (row: object) => plain({ ...row, kind: { ...(row as ReadingRow).kind, angleRad: 0 } });
        expect(facts.map(shape)).toEqual(rows.map(shape));
      }),
      { numRuns: 300, seed: 11 },
    );
  });

  test('targets, with names and numbers of every kind', () => {
    const target: fc.Arbitrary<Target> = fc
      .record({
        feature: lineOf(60),
        kind: kind(),
        targetMm: sizeMm(),
        lowerDeviationMm: fc.double({ min: -5, max: 0, noNaN: true }),
        upperDeviationMm: fc.double({ min: 0.001, max: 5, noNaN: true }),
      })
      .filter(({ lowerDeviationMm, upperDeviationMm }) => lowerDeviationMm < upperDeviationMm);
    fc.assert(
      fc.property(fc.array(target, { minLength: 1, maxLength: 6 }), (all) => {
        const targets = once(all);
        const back = expectOk(parseTargetsCsv(formatTargetsCsv(targets)));
        const shape = (each: Target) => plain({ ...each, kind: { ...each.kind, angleRad: 0 } });
        expect(back.map(shape)).toEqual(targets.map(shape));
      }),
      { numRuns: 200, seed: 11 },
    );
  });
});

/** Standing readings of a job, as they are corrected and counted. */
const standingOf = (db: ReturnType<typeof readyBench>['db'], jobId: number) =>
  queries
    .listStandingReadings(db, queries.ofJob(jobId))
    .map(({ readingMm, heightMm, feature, printName, session }) => [
      feature.name,
      printName,
      readingMm,
      heightMm,
      session.zeroMm,
      session.partC,
      session.instrumentC,
      session.state,
    ])
    .sort();

describe('a job’s own readings', () => {
  test('taken in again add nothing, not even beside new ones', () => {
    const { db, jobId, bore, width, reading: read } = readyBench();
    recordReading(db, { ...read(bore, 9.43), heightMm: 2 });
    recordReading(db, { ...read(bore, 9.43), heightMm: 2 });
    const file = exportReadings(db, jobId);
    const before = standingOf(db, jobId);
    expect(expectOk(importReadings(db, jobId, file))).toMatchObject({ readings: 0, alreadyHere: 2 });
    recordReading(db, read(width, 20.01));
    expect(expectOk(importReadings(db, jobId, file))).toMatchObject({ readings: 0, alreadyHere: 2 });
    expect(standingOf(db, jobId)).toHaveLength(before.length + 1);
  });

  test('taken back, they do not come back with the file', () => {
    const { db, jobId, printId, bore, reading: read } = readyBench();
    recordReading(db, read(bore, 9.43));
    const file = exportReadings(db, jobId);
    takeBackReading(db, jobId, printId);
    importReadings(db, jobId, file);
    expect(standingOf(db, jobId)).toEqual([]);
  });

  test('go into another job as its own, once', () => {
    const { db, jobId, profileId, bore, width, reading: read } = readyBench();
    recordReading(db, { ...read(bore, 9.43), heightMm: 3 });
    recordReading(db, read(width, 20.01));
    const file = exportReadings(db, jobId);
    const otherId = createJob(db, 'a second one', profileId);
    expect(expectOk(importReadings(db, otherId, file))).toMatchObject({ readings: 2 });
    expect(expectOk(importReadings(db, otherId, file))).toMatchObject({ readings: 0, alreadyHere: 2 });
    expect(standingOf(db, otherId)).toEqual(standingOf(db, jobId));
  });

  test('changed in the file are asked about, by their line', () => {
    const { db, jobId, bore, reading: read } = readyBench();
    recordReading(db, read(bore, 9.43));
    const file = exportReadings(db, jobId).replace(',9.43,', ',9.44,');
    expect(importReadings(db, jobId, file)).toEqual({
      ok: false,
      issue: { code: 'otherReading', line: 2, feature: 'Bore', haveMm: 9.43, fileMm: 9.44 },
    });
  });

  test('come back with their sitting: zero, both temperatures, state and height', () => {
    const { db, jobId, instrumentId, bore, reading: read, profileId } = readyBench();
    const sessionId = startSession(db, {
      jobId,
      instrumentId,
      zeroMm: -0.02,
      partC: 23.5,
      instrumentC: 19,
      state: 'aged',
      warm: true,
    });
    recordReading(db, { ...read(bore, 9.43), sessionId, heightMm: 4 });
    const otherId = createJob(db, 'a second one', profileId);
    importReadings(db, otherId, exportReadings(db, jobId));
    expect(standingOf(db, otherId)).toEqual([['Bore', 'A1', 9.43, 4, -0.02, 23.5, 19, 'aged']]);
  });
});

test('two files that differ in the height alone lose nothing', () => {
  const { db, profileId } = readyBench();
  const jobId = createJob(db, 'from files', profileId);
  const header = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm,height_mm';
  const file = (heightMm: number) => `${header}\nbore,inside,round,XY,,,8,P1,cured,8.02,${heightMm}\n`;
  for (const heightMm of [2, 5]) expectOk(importReadings(db, jobId, file(heightMm)));
  expect(standingOf(db, jobId).map(([, , , heightMm]) => heightMm)).toEqual([2, 5]);
});

test('an instrument whose name a spreadsheet would run is found again', () => {
  const { db, jobId, bore, reading: read } = readyBench();
  const instrumentId = expectOk(
    createInstrument(db, {
      name: '=A1+1',
      mpeMm: 0.02,
      resolutionMm: 0.01,
      jawFlatUnknown: true,
      simulated: false,
    }),
  );
  db.update(tables.sessions).set({ instrumentId }).run();
  recordReading(db, read(bore, 9.43));
  const file = exportReadings(db, jobId);
  expect(file).toContain("'=A1+1");
  expect(expectOk(importReadings(db, jobId, file))).toMatchObject({ alreadyHere: 1 });
});

describe('numbers that nothing on a bench has', () => {
  const header = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm,height_mm,part_C';
  test.each([
    ['bore,inside,round,XY,,,1e160,P1,cured,8,,', 'drawn_mm'],
    ['bore,inside,round,XY,,,8,P1,cured,1e8,,', 'reading_mm'],
    ['bore,inside,round,XY,,,8,P1,cured,8,1e8,', 'height_mm'],
    ['bore,inside,round,XY,,,8,P1,cured,8,,5000', 'part_C'],
    ['bore,inside,flat,XY,1e8,,8,P1,cured,8,,', 'angle_deg'],
  ])('%s is refused by its column', (row, column) => {
    const parsed = parseReadingsCsv(`${header}\n${row}\n`);
    expect(parsed).toMatchObject({ ok: false, issue: { line: 2, column } });
  });
});
