import { describe, expect, test } from '@jest/globals';
import { EDGE_SLOPE } from '@/core/signature';
import { compareBottoms } from '../bottom';

const ask = { exposureS: 2, bottomExposureS: 20, layerMm: 0.05, seen: [] };

describe('bottom layers against the foot', () => {
  test('with no foot read, edges grow as light does on average, and shorter ones leave a smaller foot', () => {
    const answers = compareBottoms(ask)!;
    expect(answers.map(({ bottomExposureS }) => bottomExposureS)).toEqual([20, 15, 10, 6, 2]);
    expect(answers[0].flare.mean).toBeCloseTo(0.02 + EDGE_SLOPE.medianMm * Math.log(10), 6);
    for (let i = 1; i < answers.length; i++)
      expect(answers[i].flare.mean).toBeLessThan(answers[i - 1].flare.mean);
    expect(answers[0].depthLayers).toBeUndefined();
  });

  test('one foot settles where it was read and little of the slope; a second one at another exposure settles that', () => {
    const foot = { exposureS: 2, bottomExposureS: 20, flareMm: 0.16, uMm: 0.01 };
    const one = compareBottoms({ ...ask, seen: [foot] })!;
    expect(one[0].flare.mean).toBeCloseTo(0.16, 1);
    expect(one[0].flare.sd).toBeLessThan(0.02);
    expect(one[4].flare.sd).toBeGreaterThan(2 * one[0].flare.sd);
    const two = compareBottoms({
      ...ask,
      seen: [foot, { exposureS: 2, bottomExposureS: 8, flareMm: 0.08, uMm: 0.01 }],
    })!;
    // Between both the slope is 0.08 over ln 2.5; the prior of a slope pulls it down.
    expect(two[3].flare.mean).toBeGreaterThan(0.04);
    expect(two[3].flare.mean).toBeLessThan(0.09);
    expect(two[3].flare.sd).toBeLessThan(one[3].flare.sd);
  });

  test('strips tell how deep a bottom layer cures', () => {
    const curve = { dpMm: 0.1, lnEc: Math.log(0.8), variances: { intercept: 0, slope: 0, both: 0 } };
    expect(compareBottoms({ ...ask, curve })![0].depthLayers).toBeCloseTo((0.1 * Math.log(25)) / 0.05, 9);
  });

  test('bottom layers exposed as the others leave nothing to weigh, and neither does an exposure that cannot be', () => {
    expect(compareBottoms({ ...ask, bottomExposureS: 2 })).toBeUndefined();
    expect(compareBottoms({ ...ask, exposureS: 0 })).toBeUndefined();
    expect(compareBottoms({ ...ask, seen: [{ ...ask, flareMm: NaN, uMm: 0.01 }] })).toBeUndefined();
  });
});
