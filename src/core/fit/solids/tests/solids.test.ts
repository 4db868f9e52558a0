import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { checkMesh, measureFeature } from '@/core/part/mesh';
import { loadTestKernel } from '@/testing/kernel';
import { anchorsOf, buildSolid, ringOf, sidesOfCircle } from '../index';

const RING = ringOf(1, 2, 3);
const COMB = { kind: 'comb', length: 1, height: 2, pockets: [3, 4], wallMm: 1.6, depthMm: 16 } as const;
const ringSizes = (id: number) => ({ 1: 15.88, 2: 9.56, 3: 6.2 })[id]!;
const combSizes = (id: number) => ({ 1: 40, 2: 8, 3: 1.6, 4: 8 })[id]!;

test('a ring is closed and holds the volume of its circles to a ten-thousandth', async () => {
  const check = checkMesh(buildSolid(await loadTestKernel(), RING, ringSizes));
  const volume = (Math.PI / 4) * (15.88 ** 2 - 9.56 ** 2) * 6.2;
  expect(check.watertight).toBe(true);
  expect(Math.abs(check.volumeMm3 / volume - 1)).toBeLessThan(1e-3);
});

test('every feature is found again at its anchor with its drawn size', async () => {
  const kernel = await loadTestKernel();
  const ring = buildSolid(kernel, RING, ringSizes);
  const ringAnchors = anchorsOf(RING, ringSizes);
  const kinds = {
    1: { sense: 'outside', shape: 'round', axis: 'XY' },
    2: { sense: 'inside', shape: 'round', axis: 'XY' },
    3: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
  } as const;
  for (const id of [1, 2, 3] as const) {
    expect(expectOk(measureFeature(ring, kinds[id], ringAnchors.get(id)!))).toBeCloseTo(ringSizes(id), 3);
  }
  const comb = buildSolid(kernel, COMB, combSizes);
  const combAnchors = anchorsOf(COMB, combSizes);
  for (const id of COMB.pockets) {
    expect(
      expectOk(measureFeature(comb, { sense: 'inside', shape: 'flat', axis: 'X' }, combAnchors.get(id)!)),
    ).toBeCloseTo(combSizes(id), 4);
  }
});

test('sides of a circle keep the facet error of its diameter under a micrometre', () => {
  for (const diameter of [1, 9.56, 80])
    expect(diameter * (1 - Math.cos(Math.PI / sidesOfCircle(diameter)))).toBeLessThan(0.001);
});
