import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { type Db, tables } from '@/store';
import { planDraw } from '@/subjects/job/correct';
import { glanceAtJobs } from '@/subjects/job/overview';
import { viewJob } from '@/subjects/job/jobs';
import { recordReading } from '@/subjects/measure/readings';
import { newestSignature } from '@/subjects/signature';
import { readyBench } from '@/testing/bench';
import { listChecksDue, recordCheck, takeBackCheck, viewChecks } from '../index';

const RING = { jaw: 'outside', piece: '10 mm block', knownMm: 10, u_mm: 0.001, isRight: false } as const;

const check = (db: Db, instrumentId: number, readingMm: number, more = {}) =>
  recordCheck(db, instrumentId, { ...RING, clientKey: crypto.randomUUID(), readingMm, ...more });

const outside = (db: Db, profileId: number) =>
  newestSignature(db, profileId).signature.biases.find(({ jaw }) => jaw === 'outside')!;

describe('a caliper checked on a piece of known size', () => {
  test('what its jaws add is known better, and all that it measured is judged with it', () => {
    const { db, profileId, instrumentId, width, reading } = readyBench();
    for (const mm of [20.05, 20.06, 20.05]) expectOk(recordReading(db, reading(width, mm)));
    const before = outside(db, profileId);
    for (const mm of [10.02, 10.02, 10.01])
      expect(expectOk(check(db, instrumentId, mm))).toEqual([profileId]);
    const after = outside(db, profileId);
    expect(after.sdMm).toBeLessThan(before.sdMm / 2);
    expect(after.meanMm).toBeGreaterThan(0.01);
    const [shown] = viewChecks(db, instrumentId);
    expect(shown).toMatchObject({ jaw: 'outside', piece: '10 mm block', count: 3 });
    expect(shown.offMm).toBeCloseTo(0.05 / 3, 9);
    takeBackCheck(db, instrumentId, shown.lastId);
    expect(outside(db, profileId).sdMm).toBeGreaterThan(after.sdMm);
    expect(viewChecks(db, instrumentId)[0].count).toBe(2);
  });

  test('what the jaws add is taken off the sizes, here and on Today, and U is narrower', () => {
    const { db, jobId, instrumentId, width, bore, reading } = readyBench();
    for (const mm of [20.09, 20.09, 20.1]) expectOk(recordReading(db, reading(width, mm)));
    for (const mm of [9.56, 9.56, 9.56]) expectOk(recordReading(db, reading(bore, mm)));
    const widthNow = () => viewJob(db, jobId)!.current!.features.find(({ id }) => id === width)!;
    const today = () => glanceAtJobs(db).find(({ id }) => id === jobId)!.outcome;
    const before = widthNow();
    expect(before.verdict).toMatchObject({ kind: 'cantTell' });
    expect(today()).toMatchObject({ kind: 'cantTell' });
    for (let i = 0; i < 5; i++) expectOk(check(db, instrumentId, 10.04));
    const after = widthNow();
    expect(before.size!.sizeMm - after.size!.sizeMm).toBeGreaterThan(0.03);
    expect(after.size!.expandedU_mm).toBeLessThan(0.6 * before.size!.expandedU_mm);
    expect(after.verdict).toMatchObject({ kind: 'in' });
    expect(today()).toMatchObject({ kind: 'in' });
    // The inside jaws were not checked.
    const inside = viewJob(db, jobId)!.current!;
    expect(inside.features.find(({ id }) => id === bore)!.size!.sizeMm).toBeCloseTo(9.56, 2);
    expect(inside.checkedJaws.map(({ jaw }) => jaw)).toEqual(['outside']);
  });

  test('what it would gain is said before, and the check keeps the promise', () => {
    const { db, jobId, instrumentId, width, bore, reading } = readyBench();
    for (const [id, mm] of [
      [width, 20.05],
      [bore, 9.5],
    ] as const)
      for (const more of [0, 0.01, 0]) expectOk(recordReading(db, reading(id, mm + more)));
    // Limits so narrow that the caliper's doubt is a good part of them.
    db.update(tables.features).set({ lowerDeviationMm: -0.03, upperDeviationMm: 0.03 }).run();
    const before = planDraw(viewJob(db, jobId)!)!;
    expect(before.check!.joint).toBeGreaterThan(before.joint + 0.01);
    const { jaw } = before.check!;
    for (let i = 0; i < 3; i++) expectOk(check(db, instrumentId, 10, { jaw }));
    const after = planDraw(viewJob(db, jobId)!)!;
    expect(after.joint).toBeCloseTo(before.check!.joint, 1);
    expect(after.joint).toBeGreaterThan(before.joint);
  });

  test('a piece far off is asked about, and kept when it is said to be right', () => {
    const { db, instrumentId } = readyBench();
    const far = check(db, instrumentId, 10.2);
    expect(far).toMatchObject({ ok: false, issue: { code: 'farOff', mpeMm: 0.02 } });
    expect(db.select().from(tables.checkReadings).all()).toEqual([]);
    expectOk(check(db, instrumentId, 10.2, { isRight: true }));
    expect(db.select().from(tables.checkReadings).all()).toHaveLength(1);
    expect(check(db, 99, 10)).toEqual({ ok: false, issue: { code: 'gone' } });
  });

  test('the same reading sent again is kept once', () => {
    const { db, instrumentId } = readyBench();
    for (let i = 0; i < 2; i++) expectOk(check(db, instrumentId, 10.01, { clientKey: 'once' }));
    expect(db.select().from(tables.checkReadings).all()).toHaveLength(1);
  });

  test('a check is due again after the days that the house set, and never where it set none', () => {
    const { db, instrumentId } = readyBench();
    const later = (days: number) => new Date(Date.now() + days * 86_400_000);
    expect(listChecksDue(db, 90, later(1000))).toEqual([]);
    expectOk(check(db, instrumentId, 10.01));
    expect(listChecksDue(db, 90, later(80))).toEqual([]);
    expect(listChecksDue(db, 90, later(100))).toMatchObject([{ name: 'bench', days: 100 }]);
    expect(listChecksDue(db, null, later(100))).toEqual([]);
  });
});
