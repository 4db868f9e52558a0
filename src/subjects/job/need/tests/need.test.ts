import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { planDraw } from '@/subjects/job/correct';
import { wishFor, type WishInput } from '@/subjects/fit/mating';
import { addFeature, createJob, notePrint, startAttempt, viewJob } from '@/subjects/job/jobs';
import { frameJob } from '@/subjects/job/overview';
import { describeDecision } from '@/subjects/job/overview/shared';
import { BLANK_NEED, BORE, readyBench } from '@/testing/bench';
import { answerAcceptance } from '../answer-acceptance';
import { changeNeed, type NeedChange } from '../change-need';
import { standingAnswer } from '../view-answers';

const STEEL_PUSH: WishInput = {
  wish: 'push',
  ruin: 'none',
  coatMm: 0,
  mate: {
    name: 'sleeve',
    sizeMm: 9.47,
    u_mm: 0.01,
    material: 'steel',
    origin: 'bought',
    irreplaceable: false,
  },
};

function bench() {
  const ready = readyBench();
  const { db, jobId, profileId } = ready;
  const change = (wanted: Partial<NeedChange>) =>
    changeNeed(db, jobId, {
      ...BLANK_NEED,
      profileId,
      ...wanted,
      revision: queries.findJob(db, jobId)!.revision,
    });
  return { ...ready, change };
}

describe('a changed need', () => {
  test('keeps every word of it, and blanks are nothing, not nought', () => {
    const { db, jobId, change } = bench();
    expectOk(
      change({
        quantity: 4,
        dueOn: '2026-12-24',
        seenFaces: 'the rim',
        hottestC: 62,
        hottestWhen: 'in a parked van',
        loadWords: 'the lid',
        loadN: 0,
        claims: ['mains', 'food'],
      }),
    );
    expect(queries.findJob(db, jobId)).toMatchObject({
      quantity: 4,
      dueOn: '2026-12-24',
      hottestC: 62,
      fitC: null,
      loadN: 0,
      claims: ['mains', 'food'],
    });
    expectOk(change({}));
    expect(queries.findJob(db, jobId)).toMatchObject({ hottestC: null, loadN: null, claims: [] });
  });

  test('of words alone opens nothing again', () => {
    const { change } = bench();
    expect(expectOk(change({ need: 'holds the wheel', seenFaces: 'none', quantity: 9 }))).toEqual([]);
  });

  test('of the temperature moves a resin bore on steel tighter, and back again', () => {
    const { db, jobId, bore, change } = bench();
    expectOk(wishFor(db, jobId, bore, STEEL_PUSH));
    const target = () => queries.listFeatures(db, jobId).find(({ id }) => id === bore)!.targetMm;
    const cold = target();
    expect(expectOk(change({ fitC: 80 }))).toEqual([
      { code: 'fits', names: ['Bore'] },
      { code: 'drawn', attempt: 1 },
    ]);
    // 60 K · (90 − 11.5)·10⁻⁶ of 9.47 mm, in a part that has grown by 60 K · 90·10⁻⁶.
    expect(target()).toBeCloseTo((9.47 * (1 + 60 * 11.5e-6) + (cold - 9.47)) / (1 + 60 * 90e-6), 9);
    expectOk(change({ fitC: 20 }));
    expect(target()).toBeCloseTo(cold, 9);
  });

  test('is shown until something is drawn after it', () => {
    const { db, jobId, bore, change } = bench();
    expectOk(wishFor(db, jobId, bore, STEEL_PUSH));
    expectOk(change({ fitC: 80 }));
    expect(frameJob(db, viewJob(db, jobId)!)).toMatchObject({ overtaken: true, settled: { correct: 0 } });
    const view = viewJob(db, jobId)!;
    const drawnMm = new Map(planDraw(view)!.lines.map(({ feature, next }) => [feature.id, next.drawMm]));
    expectOk(startAttempt(db, view, { lever: 'drawn', reason: 'it stands hot', drawnMm }));
    expect(frameJob(db, viewJob(db, jobId)!).overtaken).toBe(false);
  });

  test('before anything is drawn leaves nothing overtaken', () => {
    const { db, profileId } = bench();
    const jobId = createJob(db, 'fresh', profileId);
    const feature = {
      name: 'Bore',
      kind: BORE,
      targetMm: 9.5,
      lowerDeviationMm: -0.1,
      upperDeviationMm: 0.1,
    };
    const bore = expectOk(addFeature(db, jobId, feature));
    expectOk(wishFor(db, jobId, bore, STEEL_PUSH));
    expect(frameJob(db, viewJob(db, jobId)!).overtaken).toBe(false);
  });
});

describe('the agreed test', () => {
  test('is answered for the newest print; a further print asks anew but forgets nothing', () => {
    const { db, jobId, attemptId, change } = bench();
    expectOk(change({ acceptance: 'turns by hand' }));
    expectOk(answerAcceptance(db, jobId, 'failed', 'rubs'));
    expect(standingAnswer(db, queries.findJob(db, jobId)!)?.answer).toBe('failed');
    notePrint(db, attemptId);
    expect(standingAnswer(db, queries.findJob(db, jobId)!)).toBeUndefined();
    expectOk(answerAcceptance(db, jobId, 'passed', ''));
    expect(standingAnswer(db, queries.findJob(db, jobId)!)?.answer).toBe('passed');
    expect(frameJob(db, viewJob(db, jobId)!).settled.story).toBe(1);
    const titles = frameJob(db, viewJob(db, jobId)!).ledger.map(({ entry }) => describeDecision(entry).title);
    expect(titles).toEqual(expect.arrayContaining(['Acceptance test failed', 'Acceptance test passed']));
  });

  test('cannot be answered before a print, nor for a job that is gone', () => {
    const { db, profileId } = bench();
    const jobId = createJob(db, 'fresh', profileId);
    const { revision } = queries.findJob(db, jobId)!;
    expectOk(changeNeed(db, jobId, { ...BLANK_NEED, acceptance: 'turns', profileId, revision }));
    expect(answerAcceptance(db, jobId, 'passed', '')).toEqual({ ok: false, issue: { code: 'notPrinted' } });
    expect(answerAcceptance(db, 999, 'passed', '')).toEqual({ ok: false, issue: { code: 'gone' } });
  });
});
