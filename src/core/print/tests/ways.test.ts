import { describe, expect, test } from '@jest/globals';
import { chanceOfPlate, cheaperFrom, compareWays, copiesToStart, plainProgram, type WayAsk } from '../index';

const machine = {
  profileId: 1,
  printer: 'Long Bench',
  program: plainProgram(0.05, 8),
  layerMm: 0.05,
  lnRatio: 0,
  p: 0.8,
  bed: { widthMm: 120, depthMm: 70, heightMm: 150 },
  changeoverMl: 0,
};
const flat = {
  name: 'flat',
  isCurrent: true,
  heightMm: 10,
  footprintMm: [30, 20],
  supportedMm2: 0,
  seenMm2: 0,
  alongZ: 0,
} as const;
const upright = {
  ...flat,
  name: 'upright',
  isCurrent: false,
  heightMm: 30,
  footprintMm: [20, 10],
  supportedMm2: 80,
} as const;
const ask: WayAsk = {
  machines: [machine],
  poses: [flat, upright],
  layersMm: [],
  good: 4,
  sizes: 1,
  commonShare: 0.5,
  volumeMm3: 2000,
  supportShare: 0.3,
  lossShare: 0.05,
  gapMm: 2,
  stackUpTo: 1,
  attended: { printMin: 30, pieceMin: 5 },
  rates: { machineHour: 1, workHour: 40, resinLitre: 50, perPrint: 1.5, perLayer: 0.001 },
};

describe('which way', () => {
  test('the cheapest per good piece comes first; hours are set by height, not by count', () => {
    const ways = compareWays(ask);
    for (let i = 1; i < ways.length; i++)
      expect(ways[i].costPerGood).toBeGreaterThanOrEqual(ways[i - 1].costPerGood);
    const flatWays = ways.filter(({ pose, plates }) => pose.name === 'flat' && plates === 1);
    expect(new Set(flatWays.map(({ hours }) => hours)).size).toBe(1);
    expect(flatWays[0].hours).toBeCloseTo((180 + 200 * 8) / 3600, 9);
  });

  test('the chance of a plate is that of the plate’s own formula', () => {
    const asked = compareWays(ask).find(({ pose, count }) => pose.name === 'flat' && count === 'asked')!;
    expect(asked.chance).toBeCloseTo(chanceOfPlate({ copies: 4, good: 4, p: 0.8 }), 12);
    expect(asked.expectedGood).toBeCloseTo(4 * 0.8, 9);
  });

  test('what nobody wants makes no piece cheaper', () => {
    const flatWays = compareWays({ ...ask, machines: [{ ...machine, p: 0.99 }] }).filter(
      ({ pose }) => pose.name === 'flat',
    );
    const of = (wanted: string) => flatWays.find(({ count }) => count === wanted)!;
    expect(of('full').copies).toBeGreaterThan(2 * of('asked').copies);
    expect(of('full').costPerGood).toBeGreaterThan(of('asked').costPerGood);
    // Four wanted, each good with 0.99: of four copies 3.96 come out.
    expect(of('asked').costPerGood).toBeCloseTo(of('asked').cost / (4 * 0.99), 9);
  });

  test('as many as make it sure: with nothing lost in common, what the binomial asks for', () => {
    const sure = compareWays({ ...ask, commonShare: 0 }).find(
      ({ pose, count }) => pose.name === 'flat' && count === 'sure',
    )!;
    expect(sure.copies).toBe(copiesToStart(4, 0.8));
    expect(sure.chance).toBeGreaterThanOrEqual(0.95);
  });

  test('a plate that may be lost whole is never sure alone: it takes several', () => {
    const sure = compareWays({ ...ask, machines: [{ ...machine, p: 0.85 }], good: 8 }).find(
      ({ pose, count }) => pose.name === 'flat' && count === 'sure',
    );
    expect(sure!.plates).toBeGreaterThan(1);
  });

  test('supports take resin, a resin to be changed too, and the spares of a plate are named', () => {
    const [a, b] = ['flat', 'upright'].map((name) =>
      compareWays(ask).find(({ pose, count }) => pose.name === name && count === 'asked')!,
    );
    expect(b.resinMl / a.resinMl).toBeCloseTo(1.3, 9);
    expect(a.sparesFree).toBeGreaterThan(0);
    const other = { ...machine, changeoverMl: 100 };
    const dearer = compareWays({ ...ask, machines: [other] }).find(
      ({ pose, count }) => pose.name === 'flat' && count === 'asked',
    )!;
    expect(dearer.cost - a.cost).toBeCloseTo(5, 9);
  });

  test('a pose taller than the printer, or larger than its plate, is no way', () => {
    expect(
      compareWays({
        ...ask,
        poses: [
          { ...flat, heightMm: 200 },
          { ...flat, footprintMm: [130, 75] },
        ],
      }),
    ).toEqual([]);
  });

  test('other layer heights change the hours; ways that another beats in all are not best', () => {
    const ways = compareWays({ ...ask, layersMm: [0.1] });
    const hours = (layerMm: number) =>
      ways.find((way) => way.layerMm === layerMm && way.pose.name === 'flat')!.hours;
    expect(hours(0.1)).toBeLessThan(0.6 * hours(0.05));
    expect(ways.some(({ isBest }) => isBest)).toBe(true);
    // Quicker, but its sizes are not known at that height.
    expect(ways.filter(({ isBest }) => isBest).every(({ layerMm }) => layerMm === 0.05)).toBe(true);
  });

  test('sizes that are out are out in all copies: more of them do not help', () => {
    const [one, many] = ['asked', 'full'].map((count) =>
      compareWays({ ...ask, sizes: 0.5 }).find((way) => way.pose.name === 'flat' && way.count === count)!,
    );
    expect(many.chance).toBeLessThanOrEqual(0.5);
    expect(one.chance).toBeCloseTo(0.5 * chanceOfPlate({ copies: 4, good: 4, p: 0.8 }), 12);
  });

  test('stacked, where the house does so and a plate is too small, one run makes what several would', () => {
    const many = { ...ask, good: 30 };
    expect(compareWays(many).some(({ count }) => count === 'stacked')).toBe(false);
    const stacked = compareWays({ ...many, stackUpTo: 3 }).find(
      ({ count, pose }) => count === 'stacked' && pose.name === 'flat',
    )!;
    expect([stacked.stack, stacked.plates]).toEqual([3, 1]);
    expect(stacked.layers).toBe(3 * 200);
  });

  test('a mould pays from a count on, buying never where it is dearer', () => {
    expect(cheaperFrom({ fixed: 300, each: 2, days: 20 }, 8)).toBe(51);
    expect(cheaperFrom({ fixed: 0, each: 12, days: 3 }, 8)).toBeUndefined();
    expect(cheaperFrom({ fixed: 0, each: 3, days: 3 }, 8)).toBe(1);
  });
});
