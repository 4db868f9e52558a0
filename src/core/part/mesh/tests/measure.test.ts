import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import type { FeatureKind } from '@/core/measure';
import { box, moved, prism } from '@/testing/meshes';
import { boundsOf, crossLine, joinContours, measureFeature, sectionAt, type Mesh } from '../index';

const BOX = box(10, 20, 5);

/** A square tube: 20 outside, 12 inside, 6 high; caps as rings between the loops. */
const OUTER = [
  [-10, -10],
  [10, -10],
  [10, 10],
  [-10, 10],
] as const;
const INNER = [
  [-6, -6],
  [-6, 6],
  [6, 6],
  [6, -6],
] as const;
const TUBE: Mesh = prism([OUTER, INNER], 6, [
  [0, 1, 7],
  [0, 7, 4],
  [1, 2, 6],
  [1, 6, 7],
  [2, 3, 5],
  [2, 5, 6],
  [3, 0, 4],
  [3, 4, 5],
]);

describe('plane sections', () => {
  test('of a box are one loop with its area, counter-clockwise outside', () => {
    const contours = joinContours(sectionAt(BOX, 2.3));
    expect(contours).toHaveLength(1);
    expect(contours[0].areaMm2).toBeCloseTo(200, 9);
  });

  test('of a tube are an outer loop and a hole of the opposite sense', () => {
    const areas = joinContours(sectionAt(TUBE, 3))
      .map(({ areaMm2 }) => areaMm2)
      .sort((a, b) => a - b);
    expect(areas[0]).toBeCloseTo(-144, 9);
    expect(areas[1]).toBeCloseTo(400, 9);
  });

  test('above and below the part there is nothing', () => {
    expect(joinContours(sectionAt(BOX, 5.1))).toEqual([]);
    expect(joinContours(sectionAt(BOX, -0.1))).toEqual([]);
  });

  test('their areas times the layer are the volume', () => {
    const layers = 200;
    const height = 6 / layers;
    let volume = 0;
    for (let layer = 0; layer < layers; layer++) {
      volume +=
        height *
        joinContours(sectionAt(TUBE, (layer + 0.5) * height)).reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
    }
    expect(volume).toBeCloseTo(256 * 6, 6);
  });
});

describe('lines through a part', () => {
  test('go in and come out in turn', () => {
    const crossings = crossLine(TUBE, [0, 1.3, 3], [1, 0, 0]);
    expect(crossings.map(({ entering }) => entering)).toEqual([true, false, true, false]);
    expect(crossings.map(({ atMm }) => Math.round(atMm * 1e6) / 1e6)).toEqual([-10, -6, 6, 10]);
  });

  test('beside the part they meet nothing', () => {
    expect(crossLine(BOX, [30, 0, 2], [0, 1, 0])).toEqual([]);
  });
});

describe('a feature found again from a place on its face', () => {
  const outsideX: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
  const insideX: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'X' };
  const height: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' };

  test('wall and opening of a tube are told apart by their sense', () => {
    expect(expectOk(measureFeature(TUBE, insideX, [6, 0.4, 3]))).toBeCloseTo(12, 9);
    expect(expectOk(measureFeature(TUBE, outsideX, [10, 0.4, 3]))).toBeCloseTo(4, 9);
    expect(expectOk(measureFeature(TUBE, height, [8, 0.4, 6]))).toBeCloseTo(6, 9);
  });

  test('moving the part with its place changes nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -200, max: 200, noNaN: true }),
        fc.double({ min: -200, max: 200, noNaN: true }),
        (x, y) => {
          const part = moved(BOX, [x, y, 1]);
          expect(expectOk(measureFeature(part, outsideX, [x + 5, y + 0.3, 3]))).toBeCloseTo(10, 8);
        },
      ),
      { seed: 12, numRuns: 40 },
    );
  });

  test('turned by an angle a width is found along that angle', () => {
    const angleRad = 0.6;
    const part = moved(BOX, [0, 0, 0], angleRad);
    const kind: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'XY', angleRad };
    expect(expectOk(measureFeature(part, kind, [0, 0.2, 2]))).toBeCloseTo(10, 8);
  });

  test('far from any face there is nothing, with the place named', () => {
    expect(measureFeature(BOX, insideX, [50, 50, 2])).toEqual({
      ok: false,
      issue: { code: 'nothingThere', anchorMm: [50, 50, 2] },
    });
    expect(measureFeature(BOX, { sense: 'inside', shape: 'round', axis: 'XY' }, [0, 0, 2]).ok).toBe(false);
  });
});

test('bounds are read as they lie; no vertex has no bounds', () => {
  expect(boundsOf(BOX.positions)).toEqual({ min: [-5, -10, 0], max: [5, 10, 5] });
  expect(() => boundsOf([])).toThrow(RangeError);
});
