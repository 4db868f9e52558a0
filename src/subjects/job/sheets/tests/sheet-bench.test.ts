import { describe, expect, test } from '@jest/globals';
import { checkMesh, readStl, weldCorners } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import type { SheetChoices } from '@/core/job/sheets';
import { type Db, queries } from '@/store';
import { wishFor } from '@/subjects/fit/mating';
import { buildJobFile, createJob, notePrint, outlineOfJob, startAttempt, viewJob } from '@/subjects/job/jobs';
import { changeNeed } from '@/subjects/job/need';
import { frameJob } from '@/subjects/job/overview';
import { BLANK_NEED, readyBench } from '@/testing/bench';
import { chooseSheet } from '../choose-sheet';
import { recordBody } from '../record-body';
import { takeBackBody } from '../take-back-body';
import { takeOverSheet } from '../take-over-sheet';
import { viewSheet } from '../view-sheet';

const RING: SheetChoices = { kind: 'ring', options: {}, wishes: {} };

function reader(db: Db, jobId: number, instrumentId: number) {
  let count = 0;
  return (measure: string, readingMm: number, more: Partial<Parameters<typeof recordBody>[1]> = {}) =>
    recordBody(db, {
      clientKey: `key ${count++}`,
      jobId,
      measure,
      level: 0,
      turn: 0,
      readingMm,
      readAs: 'diameter',
      instrumentId,
      confirmed: false,
      ...more,
    });
}

function sheetJob() {
  const bench = readyBench();
  const { db, profileId, instrumentId } = bench;
  const jobId = createJob(db, 'Old ring', profileId);
  chooseSheet(db, jobId, RING);
  return { ...bench, jobId, read: reader(db, jobId, instrumentId) };
}

function readWhole(read: ReturnType<typeof reader>) {
  expectOk(read('bore', 15.91));
  expectOk(read('shaft', 9.47));
  expectOk(read('depth', 6.2));
}

describe('a measuring sheet', () => {
  test('says where the next reading belongs and grows as readings come', () => {
    const { db, jobId, read } = sheetJob();
    expect(viewSheet(db, jobId)!.next).toEqual({ measure: 'bore', level: 0, turn: 0 });
    expectOk(read('bore', 15.91));
    expect(viewSheet(db, jobId)!.next).toEqual({ measure: 'bore', level: 0, turn: 1 });
    const { body } = viewSheet(db, jobId)!.measures[0];
    expect(body?.sizeMm).toBe(15.91);
    expect(takeOverSheet(db, jobId)).toMatchObject({ ok: false, issue: { code: 'sheet' } });
  });

  test('a radius and a circumference are the same size', () => {
    const { db, jobId, read } = sheetJob();
    expectOk(read('bore', 7.955, { readAs: 'radius' }));
    expectOk(read('shaft', Math.PI * 9.47, { readAs: 'circumference' }));
    const [bore, shaft] = viewSheet(db, jobId)!.measures;
    expect(bore.body?.sizeMm).toBeCloseTo(15.91, 9);
    expect(shaft.body?.sizeMm).toBeCloseTo(9.47, 9);
  });

  test('the same reading sent twice is one; a slip is asked about, and kept when it is right', () => {
    const { db, jobId, read } = sheetJob();
    const again = { clientKey: 'once' };
    expect(expectOk(read('bore', 15.91, again))).toBe(expectOk(read('bore', 15.91, again)));
    expect(read('bore', 1.591)).toMatchObject({ ok: false, issue: { code: 'doubt' } });
    expectOk(read('bore', 14.2, { confirmed: true }));
    const { readings, body } = viewSheet(db, jobId)!.measures[0];
    expect(readings).toHaveLength(2);
    expect(body?.notes.map(({ code }) => code)).toContain('disagree');
  });

  test('a reading taken back no longer counts, and stays on record', () => {
    const { db, jobId, read } = sheetJob();
    const id = expectOk(read('bore', 15.91));
    expectOk(read('bore', 15.95));
    expect(takeBackBody(db, jobId, id)).toBe(true);
    expect(viewSheet(db, jobId)!.measures[0].body?.sizeMm).toBe(15.95);
    expect(takeBackBody(db, jobId)).toBe(true);
    expect(takeBackBody(db, jobId)).toBe(false);
  });

  test('taken over, it makes mates, features with wishes, and the part at its drawn sizes', async () => {
    const { db, jobId, read } = sheetJob();
    readWhole(read);
    expect(expectOk(takeOverSheet(db, jobId))).toEqual({ sizes: 3, opened: [] });
    const view = viewJob(db, jobId)!;
    expect(view.features.map(({ name, wish }) => [name, wish])).toEqual([
      ['Outside', 'push'],
      ['Bore', 'turn'],
      ['Height', null],
    ]);
    expect(view.mates.map(({ sizeMm, measure }) => [measure, sizeMm])).toEqual([
      ['bore', 15.91],
      ['shaft', 9.47],
    ]);
    expect(view.features.every(({ anchor }) => anchor !== null)).toBe(true);
    const stl = (await buildJobFile(view, 'next', 'stl'))!;
    expect(checkMesh(weldCorners(expectOk(readStl(stl)).corners)).watertight).toBe(true);
    expect((await buildJobFile(view, 'next', '3mf'))!.subarray(0, 2)).toEqual(new TextEncoder().encode('PK'));
    expect(outlineOfJob(view, 'next')?.view).toBe('section');
  });

  test('read again later it moves the limits, keeps names and readings, and opens the steps after it', () => {
    const { db, jobId, read } = sheetJob();
    readWhole(read);
    expectOk(takeOverSheet(db, jobId));
    const first = viewJob(db, jobId)!;
    const attemptId = expectOk(startAttempt(db, first, { lever: 'drawn', reason: '', drawnMm: new Map() }));
    notePrint(db, attemptId);
    expect(viewSheet(db, jobId)!.stale).toEqual([]);
    expectOk(read('bore', 15.85, { turn: 1 }));
    expect(viewSheet(db, jobId)!.measures[0].body).toMatchObject({ decidedBy: 'limit', sizeMm: 15.85 });
    expect(viewSheet(db, jobId)!.stale).toEqual(['Outside']);
    expect(expectOk(takeOverSheet(db, jobId)).opened).toEqual([
      { code: 'fits', names: ['Outside'] },
      { code: 'drawn', attempt: 1 },
    ]);
    const second = viewJob(db, jobId)!;
    expect(second.features[0].id).toBe(first.features[0].id);
    expect(second.features[0].targetMm).toBeLessThan(first.features[0].targetMm - 0.05);
    expect(frameJob(db, second).overtaken).toBe(true);
    expect(frameJob(db, second).settled.fit).toBe(0.5);
  });

  test('a pocket has an outline to cut, though no solid', () => {
    const { db, jobId, read } = sheetJob();
    chooseSheet(db, jobId, { kind: 'roundPocket', options: {}, wishes: {} });
    const { measures } = viewSheet(db, jobId)!;
    for (const { measure } of measures) expectOk(read(measure.id, measure.placeholderMm));
    expectOk(takeOverSheet(db, jobId));
    const view = viewJob(db, jobId)!;
    expect(view.job.solid).toBeNull();
    expect(outlineOfJob(view, 'next')?.circles).toHaveLength(1);
  });

  test('an own clearance stands in place of the class', () => {
    const { db, jobId, read } = sheetJob();
    const clearance = { lowMm: -0.05, highMm: 0.11 };
    chooseSheet(db, jobId, { ...RING, wishes: { housing: { clearance } } });
    readWhole(read);
    expectOk(takeOverSheet(db, jobId));
    const [outside] = queries.listFeatures(db, jobId);
    expect(outside).toMatchObject({ bandLowMm: -0.05, bandHighMm: 0.11 });
    expect(outside.targetMm).toBeCloseTo(15.88, 9);
    expect(outside.upperDeviationMm).toBeCloseTo(0.08, 9);
  });

  test('a coat wished under Fit comes off every face here too, and taking over again keeps it', () => {
    const { db, jobId, read } = sheetJob();
    readWhole(read);
    expectOk(takeOverSheet(db, jobId));
    const [outside] = queries.listFeatures(db, jobId);
    const name = 'Bore around it';
    const mate = { name, material: 'other', origin: 'old', irreplaceable: false } as const;
    expectOk(wishFor(db, jobId, outside.id, { wish: 'push', ruin: 'none', coatMm: 0.03, mate }));
    expect(viewSheet(db, jobId)!.stale).toEqual([]);
    expectOk(takeOverSheet(db, jobId));
    const [coated] = queries.listFeatures(db, jobId);
    expect(coated.targetMm).toBeCloseTo(outside.targetMm - 0.06, 9);
    expect(coated.coatMm).toBe(0.03);
  });

  test('the temperature of use moves what is mated with another material, and says so', () => {
    const { db, jobId, read } = sheetJob();
    readWhole(read);
    expectOk(takeOverSheet(db, jobId));
    const { revision, profileId } = queries.findJob(db, jobId)!;
    const wanted = { ...BLANK_NEED, profileId: profileId ?? undefined, fitC: 60, revision };
    expect(expectOk(changeNeed(db, jobId, wanted))).toEqual([{ code: 'fits', names: ['Outside', 'Bore'] }]);
  });
});
