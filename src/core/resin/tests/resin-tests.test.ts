import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import type { Bar } from '../bar';
import { BENCH_LIMITS } from '../bend';
import { strainAtBreak } from '../break-strain';
import { creepDrift } from '../creep';
import { judgeDrops } from '../drop';
import { provenHeat, provenQuote } from '../resin-test';
import { sagTemperature, type BathStep, type SagTest } from '../sag';
import { yellowingLimit } from '../yellowing';

const BAR: Bar = { bend: 'threePoint', spanMm: 64, widthMm: 10, thicknessMm: 4 };
const steps = (...pairs: readonly [number, number][]): BathStep[] =>
  pairs.map(([tempC, readingMm]) => ({ tempC, readingMm }));
const sag = (rows: BathStep[], more: Partial<SagTest> = {}): SagTest => ({
  bar: BAR,
  massG: 100,
  bath: 'water',
  steps: rows,
  thermometerK: 1,
  ...more,
});

describe('sag in a bath', () => {
  test('gives way where the sag has grown by that of 0.2 % strain', () => {
    // Limit 0.3413 mm; between 60 °C (0.20) and 65 °C (0.60): 60 + 5·0.1413/0.4
    const result = expectOk(sagTemperature(sag(steps([20, 1], [55, 1.08], [60, 1.2], [65, 1.6]))));
    expect(result.tempC).toBeCloseTo(61.767, 2);
    expect(result.highC - result.lowC).toBeCloseTo(2 * Math.hypot(2.5, 1), 9);
    // 3·0.980665·64/(2·10·16)
    expect(result.stressMPa).toBeCloseTo(0.5884, 4);
  });
  test('a bar that stays is proven to the last step, one that goes at once not even to the first', () => {
    expect(expectOk(sagTemperature(sag(steps([20, 1], [80, 1.05], [95, 1.1]))))).toMatchObject({
      bound: 'atLeast',
      tempC: 95,
      lowC: 94,
    });
    expect(expectOk(sagTemperature(sag(steps([20, 1], [50, 2], [60, 3]))))).toMatchObject({
      bound: 'atMost',
      tempC: 50,
    });
  });
  test('water proves no more than 95 °C, an oven does', () => {
    const hot = steps([20, 1], [90, 1], [110, 1.1]);
    expect(sagTemperature(sag(hot))).toMatchObject({ issue: { code: 'waterBoils', tempC: 110, mostC: 95 } });
    expect(sagTemperature(sag(hot, { bath: 'oven' })).ok).toBe(true);
  });
  test('steps that do not rise are refused', () => {
    expect(sagTemperature(sag(steps([20, 1], [60, 1], [55, 1])))).toMatchObject({
      issue: { code: 'notRising', tempC: 55 },
    });
  });
  test('as a proof it speaks of heat at its stress and of no other property', () => {
    const proof = { kind: 'sag', on: '2026-11-01', test: sag(steps([20, 1], [60, 1.2], [65, 1.6])) } as const;
    expect(provenQuote(proof)).toBeUndefined();
    expect(provenHeat(proof)).toMatchObject({ quote: { source: 'proof' } });
  });
});

describe('bent until it breaks', () => {
  test('three-point: 6·h·y/L²', () => {
    const { strain, low, high } = expectOk(
      strainAtBreak({ bar: BAR, deflectionsMm: [6], broke: true, limits: BENCH_LIMITS }),
    );
    expect(strain).toBeCloseTo((6 * 4 * 6) / 4096, 12);
    expect(high - strain).toBeCloseTo(strain - low, 12);
    // one bar: 15 % from bar to bar is assumed
    expect((high - low) / 2 / strain).toBeGreaterThan(0.29);
  });
  test('a bar that did not break proves no more than it was bent', () => {
    const result = expectOk(
      strainAtBreak({ bar: BAR, deflectionsMm: [12], broke: false, limits: BENCH_LIMITS }),
    );
    expect(result).toMatchObject({ atLeast: true, deep: true });
    expect(result.strain).toBeLessThan((6 * 4 * 12) / 4096);
  });
  test('no deflection and no bar are refused', () => {
    const none = { bar: BAR, deflectionsMm: [], broke: true, limits: BENCH_LIMITS };
    expect(strainAtBreak(none)).toMatchObject({ issue: { code: 'noDeflection' } });
    expect(strainAtBreak({ ...none, bar: { ...BAR, spanMm: 0 } })).toMatchObject({
      issue: { code: 'barNotPositive' },
    });
  });
});

describe('let fall', () => {
  test('five whole falls from 1 m show 55 % survival at 95 % confidence', () => {
    const result = expectOk(judgeDrops(Array.from({ length: 5 }, () => ({ heightM: 1, broke: false }))));
    expect(result).toMatchObject({ heightM: 1, trials: 5, atLeast: true });
    expect(result.survivesAtLeast).toBeCloseTo(0.5493, 4);
  });
  test('a break from lower overrules a whole fall from higher', () => {
    expect(
      expectOk(
        judgeDrops([
          { heightM: 0.5, broke: false },
          { heightM: 1, broke: true },
          { heightM: 1.8, broke: false },
        ]),
      ),
    ).toMatchObject({ heightM: 0.5, atLeast: false });
    expect(judgeDrops([])).toMatchObject({ issue: { code: 'noDrops' } });
  });
});

describe('yellowing', () => {
  const read = (...pairs: readonly [number, number][]) =>
    pairs.map(([minutes, shade]) => ({ minutes, shade }));
  test('the longest cure is where the shade crosses the accepted one', () => {
    const limit = expectOk(yellowingLimit({ readings: read([2, 0], [6, 1], [10, 3], [20, 4]), accepted: 2 }));
    expect(limit).toMatchObject({ minutes: 8, low: 6, high: 10 });
  });
  test('shades out of order share their mean', () => {
    const { curve } = expectOk(
      yellowingLimit({ readings: read([2, 0], [6, 2], [10, 1], [20, 4]), accepted: 3 }),
    );
    expect(curve.map(({ shade }) => shade)).toEqual([0, 1.5, 1.5, 4]);
  });
  test('never too yellow is at least the last, always too yellow at most the first', () => {
    expect(expectOk(yellowingLimit({ readings: read([2, 0], [6, 1], [9, 1]), accepted: 2 })).bound).toBe(
      'atLeast',
    );
    expect(expectOk(yellowingLimit({ readings: read([2, 3], [6, 4], [9, 5]), accepted: 2 })).bound).toBe(
      'atMost',
    );
  });
});

test('creep shows only beyond what two readings of one caliper can tell', () => {
  const test = { under: 'a sunny shelf', firstMm: 20, weeks: 6, caliperMm: 0.02 };
  expect(creepDrift(test)).toBeUndefined();
  // 1.96·√2·0.02/√3 = 0.032
  expect(creepDrift({ ...test, secondMm: 20.03 })).toMatchObject({ moved: false });
  expect(creepDrift({ ...test, secondMm: 19.95 })).toMatchObject({ moved: true });
});
