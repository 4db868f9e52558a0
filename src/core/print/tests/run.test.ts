import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { readReferenceJson } from '@/testing/reference';
import {
  chanceOfPlate,
  checkProgram,
  coolingTau,
  copiesFromLog,
  copiesToStart,
  excessAfter,
  exposureOf,
  finishOf,
  type LayerProgram,
  layerClock,
  learnSupportShare,
  outlookOf,
  planResin,
  secondsToCool,
  shareAt,
  fillBefore,
} from '../index';

interface ReferenceRun {
  readonly profile: Readonly<Record<string, number>>;
  readonly area_mm2: readonly number[];
  readonly vat: Readonly<Record<string, number>>;
  readonly expected: {
    readonly duration_s: number;
    readonly resin_mL: number;
    readonly topUps: readonly { layer: number; clock_s: number; add_mL: number }[];
    readonly left_mL: number;
  };
}

const PROGRAM: LayerProgram = {
  layerMm: 0.05,
  exposureS: 2.4,
  bottomExposureS: 30,
  bottomLayers: 5,
  transitionLayers: 4,
  restBeforeS: 0.5,
  restAfterS: 1,
  moves: [
    { mm: 7, mm_s: 1.5 },
    { mm: 7, mm_s: 3 },
  ],
  startupS: 45,
};

const { cases } = readReferenceJson<{ cases: ReferenceRun[] }>('run.json');

function near(value: number, expected: number): void {
  expect(Math.abs(value - expected)).toBeLessThan(1e-6 * Math.max(1, Math.abs(expected)));
}

describe('layers and resin', () => {
  test.each(cases.map((each, i) => [i, each] as const))(
    'reference run %i',
    (_i, { area_mm2, vat, expected }) => {
      const plan = planResin(
        area_mm2,
        { ...PROGRAM, startupS: vat.startup_s },
        {
          levelMl: vat.level_mL,
          capacityMl: vat.capacity_mL,
          floorMl: vat.floor_mL,
          wettingMl: vat.wetting_mL,
          supportShare: vat.supportShare,
          lossShare: vat.lossShare,
        },
      );
      near(plan.durationS, expected.duration_s);
      near(plan.resinMl, expected.resin_mL);
      near(plan.leftMl, expected.left_mL);
      expect(plan.topUps.map(({ layer }) => layer)).toEqual(expected.topUps.map(({ layer }) => layer));
      plan.topUps.forEach(({ clockS, addMl }, i) => {
        near(clockS, expected.topUps[i].clock_s);
        near(addMl, expected.topUps[i].add_mL);
      });
    },
  );

  test('exposure leads over from the bottom in even steps', () => {
    const program = { ...PROGRAM, exposureS: 3, transitionLayers: 2 };
    expect([0, 4, 5, 6, 7].map((layer) => exposureOf(layer, program))).toEqual([30, 30, 21, 12, 3]);
    expect([...layerClock(2, { layerMm: 0.05, layerS: 8, startupS: 10 })]).toEqual([10, 18, 26]);
  });

  test('speeds and exposures that cannot be are named', () => {
    expectOk(checkProgram(PROGRAM));
    const issueOf = (program: LayerProgram) => {
      const checked = checkProgram(program);
      return checked.ok ? undefined : checked.issue;
    };
    expect(issueOf({ ...PROGRAM, moves: [{ mm: 7, mm_s: -1 }] })).toEqual({
      code: 'notPositive',
      field: 'speed of a move',
    });
    expect(issueOf({ ...PROGRAM, exposureS: 0 })?.field).toBe('exposureS');
    expect(issueOf({ ...PROGRAM, restAfterS: -1 })).toEqual({ code: 'negative', field: 'restAfterS' });
  });

  test('a printer that was timed is foretold more closely', () => {
    const unknown = finishOf(3600, []);
    expect(unknown.middleS).toBe(3600);
    const timed = finishOf(
      3600,
      [1, 2, 3].map(() => ({ plannedS: 1000, realS: 1100 })),
    );
    expect(timed.middleS).toBeGreaterThan(3900);
    expect(timed.middleS).toBeLessThan(3960);
    expect(timed.lateS - timed.earlyS).toBeLessThan((unknown.lateS - unknown.earlyS) / 3);
  });

  test('500 prints whose supports differ from what is assumed: poured by the last safe moment, fewer than one in twenty runs dry', () => {
    const random = seededRandom(4);
    const areas = Float64Array.from({ length: 700 }, (_, i) => 1200 + 500 * Math.sin(i / 90));
    const vat = { levelMl: 60, capacityMl: 75, floorMl: 18, wettingMl: 4, lossShare: 0.05 };
    const share = learnSupportShare([]);
    const outlook = outlookOf(areas, PROGRAM, vat, share);
    expect(outlook.dryChance).toBeGreaterThan(0.9);
    let dry = 0;
    for (let i = 0; i < 500; i++) {
      const real = shareAt(share, random.normal());
      const { topUps } = planResin(areas, PROGRAM, { ...vat, supportShare: real });
      if (topUps.length > 0 && topUps[0].clockS < outlook.lastSafeS!) dry++;
    }
    expect(dry / 500).toBeLessThan(0.07);
    expect(dry / 500).toBeGreaterThan(0.02);
  });

  test('the level over the clock falls, rises by each top-up, and ends at what is left', () => {
    const vat = { levelMl: 60, capacityMl: 100, floorMl: 20, wettingMl: 5, lossShare: 0.05 };
    const thousand = Array.from({ length: 1000 }, () => 4000);
    const plan = planResin(thousand, PROGRAM, { ...vat, supportShare: 0.3 });
    const { levels, topUps, leftMl, durationS } = plan;
    expect(levels.length).toBeLessThan(140 + 2 * topUps.length);
    expect(levels[0]).toEqual({ clockS: 0, levelMl: vat.levelMl - vat.wettingMl });
    expect(levels.at(-1)).toEqual({ clockS: durationS, levelMl: leftMl });
    const rises = levels.slice(1).map(({ levelMl }, i) => levelMl - levels[i].levelMl);
    const risen = rises.filter((rise) => rise > 0);
    expect(topUps.length).toBeGreaterThan(1);
    expect(risen).toHaveLength(topUps.length);
    topUps.forEach(({ addMl }, i) => expect(risen[i]).toBeCloseTo(addMl, 9));
    expect(Math.min(...levels.map(({ levelMl }) => levelMl))).toBeGreaterThanOrEqual(vat.floorMl - 1e-9);
  });

  test('weighings teach the share of supports', () => {
    const learned = learnSupportShare([
      { supports: 2, part: 10 },
      { supports: 2.2, part: 10 },
      { supports: 0, part: 10 },
    ]);
    expect(Math.exp(learned.ln)).toBeGreaterThan(0.2);
    expect(Math.exp(learned.ln)).toBeLessThan(0.23);
    expect(learned.sd).toBeLessThan(learnSupportShare([]).sd);
  });

  test('one layer that uses more than the vat holds is refused', () => {
    const vat = { levelMl: 20, capacityMl: 22, floorMl: 18, wettingMl: 0, supportShare: 0, lossShare: 0 };
    expect(() => planResin([1e6], PROGRAM, vat)).toThrow(RangeError);
  });
});

describe('copies', () => {
  const { copies, copiesFromLog: fromLog } = readReferenceJson<{
    copies: { good: number; p: number; start: number }[];
    copiesFromLog: { good: number; logGood: number; logBad: number; start: number }[];
  }>('statistics.json');

  test('to start, for a stated chance and from a log', () => {
    for (const { good, p, start } of copies) expect(copiesToStart(good, p)).toBe(start);
    for (const { good, logGood, logBad, start } of fromLog)
      expect(copiesFromLog(good, { good: logGood, bad: logBad })).toBe(start);
    expect([copiesToStart(0, 0.5), copiesToStart(3, 1), copiesToStart(3, 0)]).toEqual([0, 3, undefined]);
    expect(copiesToStart(1000, 0.5)).toBeGreaterThan(2000);
  });

  test('copies of one plate fail together', () => {
    const alone = chanceOfPlate({ copies: 4, good: 4, p: 0.9 }, 0);
    expect(alone).toBeCloseTo(0.9 ** 4, 12);
    const together = chanceOfPlate({ copies: 4, good: 4, p: 0.9 }, 1);
    expect(together).toBeCloseTo(0.9, 12);
    expect(chanceOfPlate({ copies: 2, good: 0, p: 0.3 })).toBeCloseTo(1, 12);
  });
});

test('a thick wall stays warm longer', () => {
  expect(coolingTau(4)).toBeCloseTo(460, 0);
  expect(excessAfter(40, coolingTau(4), 4)).toBeCloseTo(40 / Math.E, 9);
  expect(secondsToCool(40, 4)).toBeCloseTo(coolingTau(4) * Math.log(20), 9);
  expect(secondsToCool(1, 4)).toBe(0);
});

test('what is poured before a print follows the way of the house, and never more than goes in', () => {
  const vat = { levelMl: 60, capacityMl: 200, floorMl: 25 };
  expect((['need', 'brim', 'later'] as const).map((fill) => fillBefore(fill, vat, 90))).toEqual([55, 140, 0]);
  expect(fillBefore('later', { ...vat, levelMl: 30 }, 90)).toBe(15);
  expect(fillBefore('need', vat, 900)).toBe(140);
  expect(fillBefore('need', { ...vat, levelMl: 190 }, 90)).toBe(0);
});
