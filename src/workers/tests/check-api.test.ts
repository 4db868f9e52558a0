import { beforeAll, describe, expect, test } from '@jest/globals';
import { limitsOf } from '@/core/part/findings';
import { readStl, weldCorners, boundsOf, checkMesh, writeStl, type Mesh } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { loadTestKernel } from '@/testing/kernel';
import { box } from '@/testing/meshes';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import { CheckApi, type CheckAsk } from '../check-api';
import { drawnProxy } from '../proxy';

const ASK: CheckAsk = {
  critical: [],
  seen: [],
  stance: { kind: 'plate' },
  limits: limitsOf({
    pixelMm: 0.1,
    layerMm: 0.2,
    layerSeconds: 10,
    rooms: { plate: [60, 60, 60] },
    jointGapsMm: [],
  }),
};

describe('a part read in a worker', () => {
  const api = new CheckApi();
  beforeAll(async () => {
    const { mouthDown } = printedSolids(await loadTestKernel());
    expectOk(api.open(writeStl(seatedMesh(mouthDown))));
  });

  test('areas are there at once, what lies between the layers after', () => {
    const first = api.glance(ASK);
    expect(first.whole).toBe(false);
    expect(first.findings.some(({ code }) => code === 'cup')).toBe(false);
    const shares: number[] = [];
    const all = api.read(ASK, (share) => shares.push(share));
    expect(all.whole).toBe(true);
    expect(all.findings.map(({ code }) => code)).toContain('cup');
    expect([...all.reading.areaMm2]).toEqual(
      expect.arrayContaining([expect.closeTo(first.reading.areaMm2[3], 6)]),
    );
    expect(shares[0]).toBe(0);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });
  test('the contours of a layer run round the wall, within and without', () => {
    const { reading } = api.glance(ASK);
    const radii = api
      .slice(reading, 3)
      .map((points) => Math.round(Math.hypot(points[0], points[1]) * 10) / 10);
    expect(radii.sort((a, b) => a - b)).toEqual([8, 9.5]);
  });
  test('features are listed, and those at a place named by their place in the list', () => {
    const listed = api.listFeatures();
    expect(listed.map(({ sort }) => sort).sort()).toEqual(['height', 'height', 'hole', 'shaft']);
    const [shaft] = api.featuresAt([9.5, 0, 6]);
    expect(listed[shaft].sort).toBe('shaft');
    expect(api.featuresAt([40, 40, 40])).toEqual([]);
  });
  test('the study weighs the usual poses and one found by search; turned, the part stands on the plate', () => {
    const worths = api.study(ASK);
    expect(worths.at(-1)!.pose.name).toEqual({ kind: 'search' });
    const upsideDown = worths.find(({ pose }) => pose.name.kind === 'face' && pose.name.face === '-Z')!;
    // Mouth up it is a bowl: a cup as well, of the same area.
    expect([worths[0].cups, upsideDown.cups]).toEqual([1, 1]);
    const { stl, rotation, liftMm } = api.turn([1, 0, 0]);
    const turned = weldCorners(expectOk(readStl(stl)).corners);
    expect(boundsOf(turned.positions).min[2]).toBeCloseTo(0, 5);
    expect(boundsOf(turned.positions).max[2]).toBeCloseTo(19, 3);
    // The place at the rim's +X end is the highest now.
    const [x, y, z] = [9.5, 0, 0];
    expect(rotation[6] * x + rotation[7] * y + rotation[8] * z + liftMm).toBeCloseTo(19, 3);
  });
});

test('a mend comes with what it changed, and the part itself stays', () => {
  const api = new CheckApi();
  const whole = box(10, 20, 5);
  const open: Mesh = { positions: whole.positions, facets: whole.facets.slice(6) };
  expectOk(api.open(writeStl(open)));
  const { stl, filledHoles, before, after } = api.mend()!;
  expect([filledHoles, before.watertight, after.watertight]).toEqual([1, false, true]);
  expect(checkMesh(weldCorners(expectOk(readStl(stl)).corners)).volumeMm3).toBeCloseTo(1000, 3);
  expect(checkMesh(api.part).watertight).toBe(false);
});

test('layers and measures of a part', () => {
  const api = new CheckApi();
  expectOk(api.open(writeStl(box(10, 20, 5))));
  const { areasMm2, sizeMm, volumeMm3, surfaceMm2 } = api.layers(0.5);
  expect(areasMm2).toHaveLength(10);
  for (const area of areasMm2) expect(area).toBeCloseTo(200, 6);
  expect(sizeMm).toEqual([10, 20, 5]);
  expect(volumeMm3).toBeCloseTo(1000, 6);
  expect(surfaceMm2).toBeCloseTo(700, 6);
});

test('nothing is asked of a part that was not opened', () => {
  expect(() => new CheckApi().glance(ASK)).toThrow(RangeError);
  expect(new CheckApi().open(new Uint8Array(0))).toMatchObject({ ok: false });
});

test('a large part is drawn by a proxy of a third at most, a small one as it is', async () => {
  const { Manifold } = await loadTestKernel();
  const small = box(1, 2, 3);
  const corners = new Float32Array(9 * 12);
  expect(await drawnProxy(small, corners)).toEqual({ corners });
  const ball = seatedMesh(Manifold.sphere(10, 1000));
  expect(ball.facets.length / 3).toBeGreaterThan(300_000);
  const { corners: drawn, proxyFacets } = await drawnProxy(ball, new Float32Array(0));
  expect(proxyFacets).toBeLessThanOrEqual(110_000);
  expect(proxyFacets).toBeGreaterThan(10_000);
  expect(drawn).toHaveLength(9 * proxyFacets!);
  const { min, max } = boundsOf(drawn);
  for (const axis of [0, 1, 2]) expect(max[axis] - min[axis]).toBeCloseTo(20, 0);
});
