import { beforeEach, describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import { startSession } from '@/subjects/measure/calipers';
import {
  addFeature,
  createJob,
  notePrint,
  placeFeature,
  removeFeature,
  startAttempt,
  viewJob,
} from '@/subjects/job/jobs';
import { noteBroken, recordReading, recordTry, takeBackReading } from '@/subjects/measure/readings';
import { recordGapStep } from '@/subjects/fit/gauges';
import { describeReadingIssue } from '@/subjects/measure/readings/shared';
import { keepPicture, putPictureAway } from '@/subjects/job/need';
import { pngOf } from '@/testing/pictures';
import { benchOnDisk, BORE, readyBench } from '@/testing/bench';

let bench: ReturnType<typeof readyBench>;
/** A second job with a feature, an attempt, a print and a sitting of its own. */
let other: { jobId: number; featureId: number; attemptId: number; printId: number; sessionId: number };

beforeEach(() => {
  bench = readyBench();
  const { db, profileId, instrumentId } = bench;
  const jobId = createJob(db, 'another', profileId);
  const featureId = expectOk(
    addFeature(db, jobId, {
      name: 'Bore',
      kind: BORE,
      targetMm: 9.56,
      lowerDeviationMm: -0.1,
      upperDeviationMm: 0.1,
    }),
  );
  const attemptId = expectOk(
    startAttempt(db, viewJob(db, jobId)!, {
      lever: 'drawn',
      reason: '',
      drawnMm: new Map([[featureId, 9.56]]),
    }),
  );
  const printId = notePrint(db, attemptId);
  const sessionId = startSession(db, { jobId, instrumentId, zeroMm: 0, state: 'cured', warm: false });
  other = { jobId, featureId, attemptId, printId, sessionId };
});

const readings = () => bench.db.select().from(tables.readings).all();

describe('what belongs to another job is refused', () => {
  test.each([
    ['a print', () => ({ printId: other.printId }), 'print'],
    ['a session', () => ({ sessionId: other.sessionId }), 'session'],
    ['a feature', () => ({ featureId: other.featureId }), 'session'],
  ] as const)('a reading with %s of another job', (_what, mixed, what) => {
    const { db, bore, reading } = bench;
    const answer = recordReading(db, { ...reading(bore, 9.43), ...mixed() });
    expect(answer).toEqual({ ok: false, issue: { code: 'otherJob', what } });
    expect(describeReadingIssue({ code: 'otherJob', what })).toContain('different jobs');
    expect(readings()).toEqual([]);
  });

  test('a word of fit', () => {
    const { db, bore } = bench;
    const said = {
      clientKey: 'a-word-of-fit',
      featureId: bore,
      printId: other.printId,
      word: 'right',
      state: 'cured',
    } as const;
    expect(recordTry(db, said)).toEqual({ ok: false, issue: { code: 'otherJob', what: 'print' } });
    expect(db.select().from(tables.tries).all()).toEqual([]);
  });

  test('taking a reading back, noting a print broken, printing an attempt, tapping a rung', () => {
    const { db, jobId, bore, printId, reading } = bench;
    recordReading(db, reading(bore, 9.43));
    expect(takeBackReading(db, other.jobId, printId)).toMatchObject({ ok: false });
    expect(db.select().from(tables.retractions).all()).toEqual([]);
    noteBroken(db, other.jobId, printId, 'split');
    expect(queries.listAttempts(db, jobId)[0].prints[0].brokenNote).toBe('');
    expect(() => notePrint(db, bench.attemptId, other.jobId)).toThrow(RangeError);
    const rung = { clientKey: 'a-rung-tapped', printId, rung: 1, outcome: 'free', state: 'cured' } as const;
    expect(recordGapStep(db, rung, other.jobId)).toEqual({ ok: false, issue: { code: 'gone' } });
  });

  test('removing or placing a feature', () => {
    const { db, jobId, bore } = bench;
    removeFeature(db, other.jobId, bore);
    placeFeature(db, other.jobId, bore, [1, 2, 3]);
    const kept = queries.listFeatures(db, jobId).find(({ id }) => id === bore);
    expect(kept).toMatchObject({ removedAt: null, anchor: null });
  });

  test('putting a picture away', async () => {
    const disk = benchOnDisk();
    const bytes = pngOf();
    const id = expectOk(await keepPicture(disk.db, disk.folder, disk.jobId, { bytes, caption: '' }));
    putPictureAway(disk.db, disk.jobId + 1, id);
    expect(disk.db.select().from(tables.pictures).all()[0].removedAt).toBeNull();
    disk.end();
  });
});
