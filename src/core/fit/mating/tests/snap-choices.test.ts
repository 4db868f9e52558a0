import { describe, expect, test } from '@jest/globals';
import { estimateSignature } from '@/core/signature';
import { dividingLayers, snapChoices } from '../index';

const signature = estimateSignature([], { instruments: {} });
const LIMITS = { lowerDeviationMm: -0.1, upperDeviationMm: 0.1 };
const width = {
  feature: 'w',
  kind: { sense: 'outside', shape: 'flat', axis: 'X' } as const,
  targetMm: 10,
  ...LIMITS,
};
const step = {
  feature: 's',
  kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' } as const,
  targetMm: 6,
  ...LIMITS,
};

describe('sizes on the grid of the machine', () => {
  test('a width lies between two whole numbers of pixels, each with its chance', () => {
    const choices = snapChoices(signature, width, { pixelMm: 0.05, layerMm: 0.05 })!;
    expect(choices.above.drawMm - choices.below.drawMm).toBeCloseTo(0.05, 12);
    expect(choices.below.drawMm).toBeLessThan(choices.wantedMm);
    expect(choices.above.drawMm).toBeGreaterThan(choices.wantedMm);
    for (const { drawMm, inTolerance } of [choices.below, choices.above]) {
      expect(drawMm / 0.05).toBeCloseTo(Math.round(drawMm / 0.05), 9);
      expect(inTolerance).toBeGreaterThan(0);
      expect(inTolerance).toBeLessThan(1);
    }
  });

  test('a height lies between two layers; a round size and a machine without a grid have no choice', () => {
    expect(snapChoices(signature, step, { pixelMm: 0.05, layerMm: 0.07 })!.stepMm).toBe(0.07);
    const round = { ...width, kind: { sense: 'outside', shape: 'round', axis: 'XY' } as const };
    expect(snapChoices(signature, round, { pixelMm: 0.05, layerMm: 0.05 })).toBeUndefined();
    expect(snapChoices(signature, width, { layerMm: 0.05 })).toBeUndefined();
  });

  test('layer heights that divide a height, the nearest to the one in use first', () => {
    expect(dividingLayers(6.05, 0.05)).toEqual([0.025]);
    expect(dividingLayers(6.12, 0.05)).toEqual([0.04, 0.06, 0.03, 0.02]);
  });
});
