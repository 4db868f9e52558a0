import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { planDraw } from '@/subjects/job/correct';
import { HOUSE_DEFAULTS, writeHouseRules } from '@/subjects/workshop/settings';
import {
  addFeature,
  createJob,
  type FeatureChange,
  changeFeature,
  changeFitClasses,
  notePrint,
  startAttempt,
  takeOverClasses,
  viewJob,
} from '@/subjects/job/jobs';
import { boundsByWords, noteBroken, recordReading, recordTry } from '@/subjects/measure/readings';
import { answerAcceptance, changeNeed, listAnswers, standingAnswer } from '@/subjects/job/need';
import { frameJob, tellStory } from '@/subjects/job/overview';
import { newestSignature } from '@/subjects/signature';
import { learnShopMeanings } from '@/subjects/signature';
import { BLANK_NEED, BORE, readyBench, WIDTH } from '@/testing/bench';
import { dropWish } from '../drop-wish';
import { keepStrength } from '../keep-strength';
import { workOutChain } from '../view-chain';
import { viewFits } from '../view-fits';
import { strengthOf } from '../view-strength';
import { drawSizes } from '../view-wanted-sizes';
import { wishFor, type WishInput } from '../wish-for';

const SLEEVE = {
  name: 'sleeve',
  sizeMm: 9.47,
  u_mm: 0.01,
  material: 'steel',
  origin: 'bought',
  irreplaceable: false,
} as const;

const PUSH: WishInput = { wish: 'push', ruin: 'none', coatMm: 0, mate: SLEEVE };

describe('a wish', () => {
  test('sets target and limits from its mate by the class', () => {
    const { db, jobId, bore } = readyBench();
    expectOk(wishFor(db, jobId, bore, PUSH));
    const feature = queries.listFeatures(db, jobId).find(({ id }) => id === bore)!;
    const half = (0.06 * Math.cbrt(0.947)) / 2;
    expect(feature.targetMm).toBeCloseTo(9.47 + half, 9);
    expect(feature.upperDeviationMm).toBeCloseTo(half, 9);
    const { fits } = viewFits(db, viewJob(db, jobId)!);
    const [fit] = fits;
    expect(fit.drawn!.tight + fit.drawn!.inTolerance + fit.drawn!.loose).toBeCloseTo(1, 9);
    expect(fit.offers.map(({ wish }) => wish)).toEqual(['grip', 'push', 'slide', 'turn', 'loose']);
  });

  test('that the process cannot hold says the best it can do', () => {
    const { db, jobId, bore } = readyBench();
    expectOk(wishFor(db, jobId, bore, { ...PUSH, isoFit: 'H7/g6' }));
    const [fit] = viewFits(db, viewJob(db, jobId)!).fits;
    expect(fit.unheld).toBe(true);
    expect(fit.drawn!.inTolerance).toBeGreaterThan(0);
    expect(fit.band).toEqual({ lowMm: 0.005, highMm: 0.029 });
  });

  test('on a mate never measured is kept, said, and counts once the size is known', () => {
    const { db, jobId, width } = readyBench();
    const mate = { ...SLEEVE, name: 'slot', sizeMm: undefined, u_mm: undefined };
    // A saved fit is not a refusal: it says what is still missing.
    expect(expectOk(wishFor(db, jobId, width, { ...PUSH, mate }))).toMatchObject({ unmeasured: 'slot' });
    expect(queries.listFeatures(db, jobId).find(({ id }) => id === width)!.wish).toBe('push');
    expectOk(wishFor(db, jobId, width, { ...PUSH, mate: { ...mate, sizeMm: 20.1 } }));
    expect(queries.listFeatures(db, jobId).find(({ id }) => id === width)!.targetMm).toBeLessThan(20.1);
  });

  test('refuses crossed clearances, strange letters, and a pitch', () => {
    const { db, jobId, bore } = readyBench();
    const refusal = (input: Partial<WishInput>, id = bore) => {
      const wished = wishFor(db, jobId, id, { ...PUSH, ...input });
      return wished.ok ? undefined : wished.issue.code;
    };
    expect(refusal({ clearance: { lowMm: 0.1, highMm: 0.05 } })).toBe('clearanceCrossed');
    expect(refusal({ isoFit: 'Q9/zz3' })).toBe('iso');
    expect(refusal({}, 999)).toBe('gone');
    const kind = { sense: 'pitch', shape: 'flat', axis: 'X' } as const;
    const pitch = expectOk(
      addFeature(db, jobId, { name: 'p', kind, targetMm: 9, lowerDeviationMm: -1, upperDeviationMm: 1 }),
    );
    expect(refusal({}, pitch)).toBe('pitchHasNoMate');
  });

  test('follows the house’s classes; taken off, the limits stay', () => {
    const { db, jobId, bore } = readyBench();
    const fitClasses = { ...HOUSE_DEFAULTS.fitClasses, push: { lowMm: 0.02, highMm: 0.04 } };
    writeHouseRules(db, { fitClasses });
    expectOk(wishFor(db, jobId, bore, PUSH));
    const limits = () => queries.listFeatures(db, jobId).find(({ id }) => id === bore)!;
    const { upperDeviationMm } = limits();
    expect(upperDeviationMm).toBeCloseTo(0.01 * Math.cbrt(0.947), 9);
    dropWish(db, jobId, bore);
    expect(limits()).toMatchObject({ wish: null, upperDeviationMm });
  });

  test('keeps the house’s classes it was agreed with until somebody takes the new ones over', () => {
    const { db, jobId, bore } = readyBench();
    expectOk(wishFor(db, jobId, bore, PUSH));
    const limits = () => {
      const { targetMm, upperDeviationMm } = queries.listFeatures(db, jobId).find(({ id }) => id === bore)!;
      return { targetMm, upperDeviationMm };
    };
    const agreed = limits();
    const before = viewFits(db, viewJob(db, jobId)!).fits[0];
    changeFitClasses(db, { ...HOUSE_DEFAULTS.fitClasses, push: { lowMm: 0.2, highMm: 0.4 } });
    // Another mate size moves the limits by the agreed class, not by the new one.
    const { revision } = queries.findJob(db, jobId)!;
    const mended = { name: 'Bore', kind: BORE, ...agreed, lowerDeviationMm: -agreed.upperDeviationMm };
    expectOk(
      changeFeature(db, jobId, bore, {
        ...mended,
        mateName: 'sleeve',
        mateMm: 9.47 + 0.001,
        mateU_mm: 0.01,
        revision,
      }),
    );
    expect(limits().targetMm - agreed.targetMm).toBeCloseTo(0.001, 4);
    const { fits, offered } = viewFits(db, viewJob(db, jobId)!);
    expect(fits[0].band!.highMm).toBeCloseTo(before.band!.highMm, 4);
    expect(offered).toEqual(['Bore']);
    expect(takeOverClasses(db, jobId)).toEqual(['Bore']);
    expect(viewFits(db, viewJob(db, jobId)!)).toMatchObject({ offered: [] });
    expect(limits().targetMm - agreed.targetMm).toBeGreaterThan(0.1);
  });

  test('gives way to limits typed by hand, and follows a mate whose size is mended', () => {
    const { db, jobId, bore } = readyBench();
    expectOk(wishFor(db, jobId, bore, PUSH));
    const feature = () => queries.listFeatures(db, jobId).find(({ id }) => id === bore)!;
    const mend = (change: Partial<FeatureChange>) => {
      const { targetMm, lowerDeviationMm, upperDeviationMm } = feature();
      const { revision } = queries.findJob(db, jobId)!;
      const asShown = {
        name: 'Bore',
        kind: BORE,
        targetMm,
        lowerDeviationMm,
        upperDeviationMm,
        mateName: 'sleeve',
        mateMm: 9.47,
      };
      expectOk(changeFeature(db, jobId, bore, { ...asShown, revision, ...change }));
    };
    const before = feature().targetMm;
    mend({ mateMm: 9.5 });
    expect(feature().targetMm).toBeCloseTo(before + 0.03, 3);
    expect(feature().wish).toBe('push');
    mend({ targetMm: 9.6 });
    expect(feature()).toMatchObject({ wish: null, targetMm: 9.6 });
  });

  test('where too tight is ruin draws further from the mate', () => {
    const { db, jobId, bore } = readyBench();
    const drawn = (ruin: WishInput['ruin']) => {
      expectOk(wishFor(db, jobId, bore, { ...PUSH, wish: 'slide', ruin }));
      return planDraw(viewJob(db, jobId)!)!.lines[0].next;
    };
    const [even, ruined] = [drawn('none'), drawn('tightRuins')];
    expect(ruined.drawMm).toBeGreaterThan(even.drawMm);
    expect(ruined.tight).toBeLessThan(even.tight);
  });
});

describe('words', () => {
  const word = (
    bench: ReturnType<typeof readyBench>,
    said: Parameters<typeof recordTry>[1]['word'],
    printId = bench.printId,
  ) =>
    expectOk(
      recordTry(bench.db, {
        clientKey: crypto.randomUUID(),
        featureId: bench.bore,
        printId,
        word: said,
        state: 'cured',
        pushN: 12,
      }),
    );

  test('bound the drawn size, the nearest on each side, broken prints too', () => {
    const bench = readyBench();
    const { db, jobId, bore } = bench;
    word(bench, 'wontEnter');
    noteBroken(db, jobId, bench.printId, 'the collar split');
    const attemptId = expectOk(
      startAttempt(db, viewJob(db, jobId)!, {
        lever: 'drawn',
        reason: 'wider',
        drawnMm: new Map([[bore, 9.9]]),
      }),
    );
    word(bench, 'rattles', notePrint(db, attemptId));
    expect(boundsByWords(db, viewJob(db, jobId)!).get(bore)).toEqual({
      tight: { drawnMm: 9.56, word: 'wontEnter' },
      loose: { drawnMm: 9.9, word: 'rattles' },
    });
    const [first] = tellStory(db, viewJob(db, jobId)!);
    expect(first.prints[0].brokenNote).toBe('the collar split');
    expect(first.prints[0].features[0]).toMatchObject({ word: 'wontEnter', pushN: 12 });
  });

  test('learn this shop’s own meaning where the caliper read the same feature', () => {
    const bench = readyBench();
    const { db, bore, reading } = bench;
    expect(learnShopMeanings(db).needsForce).toMatchObject({ count: 0, shiftMm: 0 });
    word(bench, 'needsForce');
    for (const mm of [9.5, 9.5, 9.51]) recordReading(db, reading(bore, mm));
    const { needsForce } = learnShopMeanings(db);
    expect(needsForce.count).toBe(1);
    expect(needsForce.shiftMm).toBeGreaterThan(0);
  });

  test('a word checked by its own reading does not bring that reading in twice', () => {
    const bench = readyBench();
    const { db, bore, profileId, reading } = bench;
    for (const mm of [9.5, 9.5, 9.51]) recordReading(db, reading(bore, mm));
    word(bench, 'needsForce');
    // The only meeting is its own: it is taken with the start value.
    const { signature } = newestSignature(db, profileId);
    expect(signature.parameters.every(({ mean }) => Number.isFinite(mean))).toBe(true);
  });
});

describe('the agreed test', () => {
  test('is answered for a print, and open again when its wording changes', () => {
    const { db, jobId, profileId, printId } = readyBench();
    expect(answerAcceptance(db, jobId, 'passed', '')).toEqual({ ok: false, issue: { code: 'noTest' } });
    const need = (acceptance: string) => ({
      ...BLANK_NEED,
      acceptance,
      profileId,
      revision: queries.findJob(db, jobId)!.revision,
    });
    expect(expectOk(changeNeed(db, jobId, need('turns by hand')))).toEqual([]);
    expectOk(answerAcceptance(db, jobId, 'partly', 'rubs at one place'));
    expect(listAnswers(db, jobId).get(printId)).toMatchObject({
      answer: 'partly',
      note: 'rubs at one place',
    });
    expect(standingAnswer(db, queries.findJob(db, jobId)!)?.answer).toBe('partly');
    expect(expectOk(changeNeed(db, jobId, need('holds its pose')))).toEqual([{ code: 'acceptance' }]);
    expect(standingAnswer(db, queries.findJob(db, jobId)!)).toBeUndefined();
    const empty = createJob(db, 'nothing yet', profileId);
    expect(answerAcceptance(db, empty, 'passed', '')).toEqual({ ok: false, issue: { code: 'noTest' } });
  });

  test('another printer opens what was drawn for the first one', () => {
    const { db, jobId } = readyBench();
    const { revision } = queries.findJob(db, jobId)!;
    expect(expectOk(changeNeed(db, jobId, { ...BLANK_NEED, revision }))).toEqual([
      { code: 'drawn', attempt: 1 },
    ]);
    expect(frameJob(db, viewJob(db, jobId)!).overtaken).toBe(true);
  });
});

describe('the desk', () => {
  test('draws sizes that are no features yet by the signature', () => {
    const { db, jobId } = readyBench();
    const [hole, pin] = drawSizes(viewJob(db, jobId)!, [
      { kind: BORE, targetMm: 3.4, halfMm: 0.1 },
      { kind: WIDTH, targetMm: 3.4, halfMm: 0.1 },
    ])!;
    expect(hole.drawMm).toBeGreaterThan(3.4);
    expect(pin.drawMm).toBeLessThan(3.4);
    const other = createJob(db, 'no printer');
    expect(drawSizes(viewJob(db, other)!, [])).toBeUndefined();
  });

  test('a chain of printed sizes has a joint spread and a chance; a bought link takes them away', () => {
    const { db, jobId, bore, width } = readyBench();
    const view = viewJob(db, jobId)!;
    const links = [
      { featureId: width, direction: 1 },
      { featureId: bore, direction: -1 },
    ] as const;
    const chain = workOutChain(view, links, { lowMm: 10, highMm: 11 })!;
    expect(chain.gapMm).toBeCloseTo(20 - 9.56, 9);
    expect(chain.joint).toBeDefined();
    expect(chain.chance).toBeGreaterThan(0.5);
    const bought = { name: 'washer', sizeMm: 1, halfMm: 0.1, direction: -1 } as const;
    const mixed = workOutChain(view, [...links, bought], { lowMm: 9, highMm: 10 })!;
    expect(mixed.joint).toBeUndefined();
    expect(mixed.shares[0].name).toBe('washer');
    expect(workOutChain(view, [])).toBeUndefined();
  });

  test('what a resin stands is kept with it', () => {
    const { db, jobId } = readyBench();
    const { resin } = viewJob(db, jobId)!.profile!;
    expect(strengthOf(db, resin.id)).toEqual({});
    expectOk(keepStrength(db, resin.id, { modulusMPa: 1800, breakStrain: 0.3 }, '2026-11-02'));
    expect(strengthOf(db, resin.id)).toEqual({
      modulusMPa: { value: 1800, source: 'own' },
      strengthMPa: undefined,
      breakStrain: { value: 0.3, source: 'own' },
    });
  });
});
