import path from 'node:path';
import { afterEach, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { expectOk } from '@/core/kit';
import { type Connection, openDb, tables } from '@/store';
import { startSession } from '@/subjects/measure/calipers';
import { changeProcess, notePrint } from '@/subjects/job/jobs';
import { recordReading, takeBackReading } from '@/subjects/measure/readings';
import { benchOnDisk } from '@/testing/bench';
import { readProfileEvidence } from '../profile-evidence';

let others: Connection[] = [];
afterEach(() => {
  others.forEach((db) => db.$client.close());
  others = [];
});

test('readings that were read from the disk before are as if they were read anew, whatever changed since', () => {
  const bench = benchOnDisk();
  const { db, profileId, jobId, attemptId, instrumentId, width, bore, printId, reading } = bench;
  /** The stored evidence beside that of a workshop opened just now. */
  const both = () => {
    const fresh = openDb(path.join(bench.folder, 'mellow.db'));
    others.push(fresh);
    const [here, anew] = [db, fresh].map((each) => readProfileEvidence(each, profileId));
    expect(here.readings).toEqual(anew.readings);
    expect(here.leftOut).toEqual(anew.leftOut);
    expect(here.options.instruments).toEqual(anew.options.instruments);
    expect(here.readingIds).toEqual(anew.readingIds);
    return here.readings.length;
  };
  expect(both()).toBe(0);
  for (const mm of [20.1, 20.11]) expectOk(recordReading(db, reading(width, mm)));
  expect(both()).toBe(2);
  expectOk(recordReading(db, reading(bore, 9.41)));
  expect(both()).toBe(3);
  expectOk(takeBackReading(db, jobId, printId));
  expect(both()).toBe(2);
  expectOk(recordReading(db, { ...reading(width, 20.2), heightMm: 0.5 }));
  expect(both()).toBe(2);
  // A warm sitting, a coat that becomes known, a feature that is turned, flats that are measured.
  const sitting = { jobId, printId, instrumentId, zeroMm: 0 };
  const warm = startSession(db, { ...sitting, state: 'cured', warm: true });
  expectOk(recordReading(db, { ...reading(width, 20.14), sessionId: warm }));
  expect(both()).toBe(2);
  const coated = startSession(db, { ...sitting, state: 'coated', warm: false });
  expectOk(recordReading(db, { ...reading(width, 20.3), sessionId: coated }));
  expect(both()).toBe(2);
  const { features, instruments } = tables;
  db.update(features).set({ coatMm: 0.05 }).where(eq(features.id, width)).run();
  expect(both()).toBe(3);
  db.update(features).set({ axis: 'Y' }).where(eq(features.id, width)).run();
  expect(both()).toBe(3);
  db.update(instruments).set({ jawFlatMm: 0.5 }).where(eq(instruments.id, instrumentId)).run();
  expect(both()).toBe(3);
  const again = notePrint(db, attemptId, jobId, { place: { xMm: 10, yMm: 5 } });
  const sessionId = startSession(db, { ...sitting, printId: again, state: 'cured', warm: false });
  expectOk(recordReading(db, { ...reading(width, 20.12), printId: again, sessionId }));
  expect(both()).toBe(4);
  const at = new Date(Date.now() + 1);
  expectOk(changeProcess(db, profileId, { kinds: ['film'], at, after: {}, note: '' }));
  expect(both()).toBe(4);
  bench.end();
});
