import { expect, test } from '@jest/globals';
import { tables } from '@/store';
import { startSession } from '@/subjects/measure/calipers';
import { notePrint, viewJob } from '@/subjects/job/jobs';
import { readyBench, standing } from '@/testing/bench';
import { recordReading } from '../record-reading';
import { recordTry } from '../record-try';
import { takeBackReading } from '../take-back-reading';
import { sitDown } from '../view-sitting';

test('a reading is stored once, however often it is sent', () => {
  const { db, bore, printId, reading } = readyBench();
  const entry = reading(bore, 9.43, 'same-key');
  const first = recordReading(db, entry);
  const second = recordReading(db, entry);
  expect(first).toEqual(second);
  expect(standing(db, printId)).toEqual([9.43]);
});

test.each([
  [0.376, 'looksLikeInches'],
  [943, 'decimalPoint'],
  [14, 'farOff'],
  [0, 'notPositive'],
  [-9.4, 'notPositive'],
])('%d where 9.5 is drawn is asked about and not stored', (readingMm, code) => {
  const { db, bore, printId, reading } = readyBench();
  const answer = recordReading(db, reading(bore, readingMm));
  expect(answer).toMatchObject({ ok: false, issue: { code: 'doubt', doubt: { code } } });
  expect(standing(db, printId)).toEqual([]);
});

test('asked and confirmed it is kept; a size of zero never is', () => {
  const { db, bore, printId, reading } = readyBench();
  expect(recordReading(db, { ...reading(bore, 14), confirmed: true }).ok).toBe(true);
  expect(recordReading(db, { ...reading(bore, 0), confirmed: true }).ok).toBe(false);
  expect(standing(db, printId)).toEqual([14]);
});

test('taken back, a reading stands no more and stays on record', () => {
  const { db, jobId, bore, width, printId, reading } = readyBench();
  recordReading(db, reading(bore, 9.43));
  recordReading(db, reading(width, 20.05));
  expect(takeBackReading(db, jobId, printId)).toMatchObject({ ok: true, value: { readingMm: 20.05 } });
  expect(standing(db, printId)).toEqual([9.43]);
  expect(db.select().from(tables.readings).all()).toHaveLength(2);
  expect(takeBackReading(db, jobId, printId).ok).toBe(true);
  expect(takeBackReading(db, jobId, printId)).toEqual({ ok: false, issue: { code: 'nothingToTakeBack' } });
});

test('one named reading can be taken back from the middle', () => {
  const { db, jobId, bore, printId, reading } = readyBench();
  const first = recordReading(db, reading(bore, 9.43));
  recordReading(db, reading(bore, 9.44));
  takeBackReading(db, jobId, printId, first.ok ? first.value.id : 0);
  expect(standing(db, printId)).toEqual([9.44]);
});

test('two windows on one job: nothing is lost and the later one is told', () => {
  const { db, bore, printId, reading } = readyBench();
  const here = recordReading(db, { ...reading(bore, 9.43), seenId: 0 });
  const there = recordReading(db, { ...reading(bore, 9.44), seenId: 0 });
  expect(here).toMatchObject({ ok: true, value: { elsewhere: 0 } });
  expect(there).toMatchObject({ ok: true, value: { elsewhere: 1 } });
  expect(standing(db, printId)).toEqual([9.43, 9.44]);
});

test('a feature, print or session that is gone is named', () => {
  const { db, bore, reading } = readyBench();
  expect(recordReading(db, { ...reading(bore, 9.43), featureId: 99 })).toEqual({
    ok: false,
    issue: { code: 'gone', what: 'feature' },
  });
  expect(recordReading(db, { ...reading(bore, 9.43), printId: 99 })).toEqual({
    ok: false,
    issue: { code: 'gone', what: 'print' },
  });
  expect(recordReading(db, { ...reading(bore, 9.43), sessionId: 99 })).toEqual({
    ok: false,
    issue: { code: 'gone', what: 'session' },
  });
  expect(
    recordTry(db, { clientKey: 'a-long-key', featureId: 99, printId: 1, word: 'right', state: 'cured' }).ok,
  ).toBe(false);
});

test('sizes come with U and a verdict, and readings at the plate are kept apart', () => {
  const { db, jobId, width, reading } = readyBench();
  for (const mm of [20.05, 20.06, 20.05]) recordReading(db, reading(width, mm));
  recordReading(db, { ...reading(width, 20.3), heightMm: 0.4 });
  const view = viewJob(db, jobId)!.current!.features.find(({ id }) => id === width)!;
  expect(view.size?.sizeMm).toBeCloseTo(20.0533, 3);
  expect(view.size?.count).toBe(3);
  expect(view.verdict?.kind).toBeDefined();
  expect(view.readings.map(({ atPlate }) => atPlate)).toEqual([false, false, false, true]);
});

test('readings of another state are not mixed into one size: the state of the fit counts', () => {
  const { db, jobId, instrumentId, width, reading } = readyBench();
  recordReading(db, reading(width, 20.3));
  const aged = startSession(db, { jobId, instrumentId, zeroMm: 0, state: 'aged', warm: false });
  recordReading(db, { ...reading(width, 20.1), sessionId: aged });
  expect(viewJob(db, jobId)!.current!.features.find(({ id }) => id === width)!.size?.sizeMm).toBe(20.3);
});

test('a sitting is open for its print only, and remembered for the next', () => {
  const { db, jobId, attemptId, instrumentId } = readyBench();
  const sitting = sitDown(db, viewJob(db, jobId)!);
  expect(sitting.open?.instrument.id).toBe(instrumentId);
  expect(sitting.simulatedPrint).toBe(true);
  // The clock was set back by years in the meantime: the print decides.
  db.update(tables.sessions)
    .set({ startedAt: new Date(0) })
    .run();
  expect(sitDown(db, viewJob(db, jobId)!).open).toBeDefined();
  notePrint(db, attemptId);
  db.update(tables.prints)
    .set({ madeAt: new Date(0) })
    .run();
  const later = sitDown(db, viewJob(db, jobId)!);
  expect(later.open).toBeUndefined();
  expect(later.remembered?.partC).toBe(20);
});
