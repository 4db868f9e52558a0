import { describe, expect, test } from '@jest/globals';
import { buildMesh, type Workshop } from '@/core/fit/solids';
import { loadTestKernel } from '@/testing/kernel';
import { boundsOf, chamferFoot, checkMesh, type Mesh } from '../index';

async function built(make: (shop: Workshop) => ReturnType<Workshop['box']>): Promise<Mesh> {
  return buildMesh(await loadTestKernel(), make);
}

/** Extent of the vertices that lie on the plate, mm. */
function footprint({ positions }: Mesh) {
  const { min } = boundsOf(positions);
  const low: number[] = [];
  for (let i = 0; i < positions.length; i += 3)
    if (positions[i + 2] - min[2] < 1e-9) low.push(positions[i], positions[i + 1], positions[i + 2]);
  const { min: a, max: b } = boundsOf(low);
  return [b[0] - a[0], b[1] - a[1]];
}

describe('a chamfer round what stands on the plate', () => {
  test('a box stands on a smaller base and loses just the chamfer', async () => {
    const box = await built((shop) => shop.box(20, 10, 5));
    const leg = 0.3;
    const { mesh, turnedFacets } = chamferFoot(box, leg);
    const check = checkMesh(mesh);
    expect(check.watertight).toBe(true);
    expect(turnedFacets).toBe(0);
    const [x, y] = footprint(mesh);
    expect(x).toBeCloseTo(19.4, 7);
    expect(y).toBeCloseTo(9.4, 7);
    // What is left below the leg is a frustum: h/6·(A + 4·M + B).
    const below = (leg / 6) * (20 * 10 + 4 * 19.7 * 9.7 + 19.4 * 9.4);
    expect(check.volumeMm3).toBeCloseTo(20 * 10 * 4.7 + below, 5);
    expect(boundsOf(mesh.positions).max).toEqual(boundsOf(box.positions).max);
  });

  test('a hole opens at its mouth, a roof higher up stays where it was', async () => {
    const plate = await built((shop) =>
      shop.cut(shop.box(20, 20, 4), [shop.move(shop.box(6, 6, 6), [0, 0, -1])]),
    );
    const { mesh } = chamferFoot(plate, 0.5);
    expect(checkMesh(mesh).watertight).toBe(true);
    const inner: number[] = [];
    for (let i = 0; i < mesh.positions.length; i += 3)
      if (mesh.positions[i + 2] < 1e-9 && Math.abs(mesh.positions[i]) < 5) inner.push(mesh.positions[i]);
    expect(Math.max(...inner)).toBeCloseTo(3.5, 7);
    const top = [...mesh.positions].filter((_, i) => i % 3 === 2 && mesh.positions[i] > 3.9);
    expect(Math.min(...top)).toBeCloseTo(4, 9);
  });

  test('a round shaft draws in alike all round', async () => {
    const shaft = await built((shop) => shop.shaft(12, 6));
    const { mesh } = chamferFoot(shaft, 0.4);
    expect(checkMesh(mesh).watertight).toBe(true);
    const radii: number[] = [];
    for (let i = 0; i < mesh.positions.length; i += 3)
      if (mesh.positions[i + 2] < 1e-9 && Math.hypot(mesh.positions[i], mesh.positions[i + 1]) > 1)
        radii.push(Math.hypot(mesh.positions[i], mesh.positions[i + 1]));
    const before = Math.max(...[...shaft.positions].filter((_, i) => i % 3 === 0));
    for (const radius of radii) expect(radius).toBeCloseTo(before - 0.4, 2);
  });

  test('a wall thinner than two chamfers turns over and is counted; a part lower than the chamfer is refused', async () => {
    const wall = await built((shop) => shop.box(20, 0.5, 5));
    expect(chamferFoot(wall, 0.3).turnedFacets).toBeGreaterThan(0);
    expect(() => chamferFoot(wall, 6)).toThrow(RangeError);
  });
});
