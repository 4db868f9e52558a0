import { describe, expect, test } from '@jest/globals';
import { checkMesh, type Mesh } from '@/core/part/mesh';
import { loadTestKernel } from '@/testing/kernel';
import { box } from '@/testing/meshes';
import { buildMesh } from '@/core/fit/solids';
import { hollowOf, shellAreas } from '../hollow-of';

const shell = (mesh: Mesh, wallMm: number) => hollowOf(mesh, checkMesh(mesh).volumeMm3, wallMm);

describe('the shell of plain solids, against what is known of them', () => {
  const cases: [string, number, () => Promise<Mesh>, (w: number) => number][] = [
    [
      'box 30 × 20 × 10',
      2,
      async () => box(30, 20, 10),
      (w) => 6000 - (30 - 2 * w) * (20 - 2 * w) * (10 - 2 * w),
    ],
    [
      'box 14 × 10 × 6, thin wall',
      0.8,
      async () => box(14, 10, 6),
      (w) => 840 - (14 - 2 * w) * (10 - 2 * w) * (6 - 2 * w),
    ],
    [
      'shaft of 20, 25 long',
      1.5,
      async () => {
        const kernel = await loadTestKernel();
        return buildMesh(kernel, (shop) => shop.shaft(20, 25));
      },
      (w) => Math.PI * (100 * 25 - (10 - w) ** 2 * (25 - 2 * w)),
    ],
  ];
  test.each(cases)('%s, wall %d', async (_, wallMm, make, expected) => {
    const { shellMm3, errorMm3, solidMm3 } = shell(await make(), wallMm);
    const truth = expected(wallMm);
    expect(Math.abs(shellMm3 / truth - 1)).toBeLessThan(0.03);
    expect(errorMm3).toBeGreaterThan(0);
    expect(errorMm3).toBeLessThan(0.1 * solidMm3);
  });

  test('a ball', async () => {
    const { Manifold } = await loadTestKernel();
    const ball = Manifold.sphere(10, 160).getMesh();
    const positions = Float64Array.from(ball.vertProperties);
    const mesh = { positions, facets: Uint32Array.from(ball.triVerts) } as unknown as Mesh;
    const truth = (4 / 3) * Math.PI * (10 ** 3 - 8 ** 3);
    expect(Math.abs(shell(mesh, 2).shellMm3 / truth - 1)).toBeLessThan(0.03);
    const { thickestMm, cellMm } = shell(mesh, 2);
    expect(Math.abs(thickestMm - 20)).toBeLessThan(3 * cellMm);
  });
});

test('the layers of a shell are full in its floor and roof and rings between, and sum to its volume', () => {
  const [wallMm, layerMm] = [2, 0.1];
  const hollow = shell(box(30, 20, 10), wallMm);
  const areas = shellAreas(new Array<number>(100).fill(600), layerMm, hollow);
  expect(areas[5]).toBeCloseTo(600, 6);
  expect(areas[95]).toBeCloseTo(600, 6);
  expect(Math.abs(areas[50] / (600 - 26 * 16) - 1)).toBeLessThan(0.03);
  const volume = areas.reduce((sum, area) => sum + area * layerMm, 0);
  expect(Math.abs(volume / hollow.shellMm3 - 1)).toBeLessThan(0.02);
});

test('a part thinner than two walls has nothing to hollow', () => {
  const { airMm3, thickestMm } = shell(box(40, 30, 3), 1.6);
  expect(airMm3).toBeLessThan(1);
  expect(thickestMm).toBeGreaterThan(2.7);
  expect(thickestMm).toBeLessThan(3.3);
});

test('progress rises to its end', () => {
  const told: number[] = [];
  hollowOf(box(20, 20, 20), 8000, 2, (share) => told.push(share));
  expect(told.at(-1)).toBe(0.95);
  expect([...told].sort((a, b) => a - b)).toEqual(told);
});
