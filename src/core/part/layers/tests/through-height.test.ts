import { describe, expect, test } from '@jest/globals';
import { listShells, type Mesh } from '@/core/part/mesh';
import { loadTestKernel } from '@/testing/kernel';
import { box, joined, moved } from '@/testing/meshes';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import { readLayers } from '../read-layers';

const kernel = await loadTestKernel();
const solids = printedSolids(kernel);

interface Orientation {
  readonly turnDeg: number;
  readonly tiltDeg: number;
}
const POSES: readonly Orientation[] = [0, 20].flatMap((tiltDeg) =>
  [0, 37].map((turnDeg) => ({ turnDeg, tiltDeg })),
);

/** Tilted about X, then turned about Z, as the file's points are; the lowest comes to z = 0. */
function posed({ positions, facets }: Mesh, { turnDeg, tiltDeg }: Orientation) {
  const [turn, tilt] = [turnDeg, tiltDeg].map((deg) => (deg * Math.PI) / 180);
  const place = ([x, y, z]: readonly number[]): [number, number, number] => {
    const [ty, tz] = [y * Math.cos(tilt) - z * Math.sin(tilt), y * Math.sin(tilt) + z * Math.cos(tilt)];
    return [x * Math.cos(turn) - ty * Math.sin(turn), x * Math.sin(turn) + ty * Math.cos(turn), tz];
  };
  const turned = new Float64Array(positions.length);
  for (let i = 0; i < positions.length; i += 3) turned.set(place([...positions.subarray(i, i + 3)]), i);
  let lowest = Infinity;
  for (let i = 2; i < turned.length; i += 3) lowest = Math.min(lowest, turned[i]);
  for (let i = 2; i < turned.length; i += 3) turned[i] -= lowest;
  const at = (point: readonly number[]) => {
    const [x, y, z] = place(point);
    return [x, y, z - lowest];
  };
  return { mesh: { positions: turned, facets }, at };
}

function read(mesh: Mesh) {
  return readLayers(mesh, { heightMm: 0.1, pixelMm: 0.1, bodyOf: listShells(mesh) });
}

describe.each(POSES)('a part turned by $turnDeg° and tilted by $tiltDeg°', (pose) => {
  /** Along Z a plate that leans measures more. */
  const lean = 1 / Math.cos((pose.tiltDeg * Math.PI) / 180);

  test('the thinnest floor of a table is its top', () => {
    const { smallestWallZ, smallestGapZ, overlaps } = read(posed(seatedMesh(solids.table), pose).mesh);
    expect(smallestWallZ!.sizeMm).toBeCloseTo(2 * lean, 6);
    expect(smallestGapZ).toBeUndefined();
    expect(overlaps).toEqual([]);
  });
  test('a box is as thick as it is high; a ball has no floor thinner than itself', () => {
    expect(read(posed(seatedMesh(solids.box), pose).mesh).smallestWallZ!.sizeMm).toBeCloseTo(8 * lean, 6);
    const ball = seatedMesh(kernel.Manifold.sphere(6, 96));
    expect(read(posed(ball, pose).mesh).smallestWallZ!.sizeMm).toBeGreaterThan(11.8);
  });
  test('a slot below a roof is a gap of one body, a copy stacked above one of two', () => {
    const slotted = seatedMesh(
      kernel.Manifold.cube([12, 12, 6]).subtract(kernel.Manifold.cube([8, 12, 0.35]).translate([4, 0, 3])),
    );
    const slot = read(posed(slotted, pose).mesh).smallestGapZ!;
    expect(slot.sizeMm).toBeCloseTo(0.35 * lean, 5);
    expect(slot.betweenBodies).toBe(false);
    const stacked = joined(box(10, 10, 4), moved(box(10, 10, 4), [0, 0, 4.15]));
    const copies = read(posed(stacked, pose).mesh).smallestGapZ!;
    expect(copies.sizeMm).toBeCloseTo(0.15 * lean, 6);
    expect(copies.betweenBodies).toBe(true);
  });
  test('two boxes drawn into one another share what they share, there', () => {
    const { mesh, at } = posed(joined(box(10, 10, 10), moved(box(10, 10, 10), [7, 6, 5])), pose);
    const { overlaps } = read(mesh);
    expect(overlaps).toHaveLength(1);
    expect(overlaps[0].volumeMm3 / 60).toBeCloseTo(1, 2);
    at([3.5, 3, 7.5]).forEach((value, i) => expect(overlaps[0].middleMm[i]).toBeCloseTo(value, 1));
  });
  test('a rod through two plates overlaps each; plates that only touch do not', () => {
    const rod = seatedMesh(kernel.Manifold.cylinder(12, 2, 2, 128));
    const plates = joined(moved(box(10, 10, 2), [0, 0, 2]), moved(box(10, 10, 2), [0, 0, 8]));
    const { overlaps } = read(posed(joined(plates, rod), pose).mesh);
    expect(overlaps).toHaveLength(2);
    // π·2²·2 as a polygon of 128 corners.
    const share = 2 * 2 * 64 * Math.sin((2 * Math.PI) / 128) * 2;
    for (const { volumeMm3 } of overlaps) expect(volumeMm3 / share).toBeCloseTo(1, 2);
    const touching = joined(box(10, 10, 2), moved(box(10, 10, 2), [0, 0, 2]));
    const beside = read(posed(touching, pose).mesh);
    expect(beside.overlaps).toEqual([]);
    if (pose.tiltDeg === 0) expect(beside.smallestWallZ!.sizeMm).toBeCloseTo(4, 6);
  });
  test('a sealed hollow is no overlap: its floor and roof are walls', () => {
    const { overlaps, smallestWallZ } = read(posed(seatedMesh(solids.hollow), pose).mesh);
    expect(overlaps).toEqual([]);
    expect(smallestWallZ!.sizeMm).toBeCloseTo(3 * lean, 5);
  });
  test('a part that is inside out as a whole reads alike', () => {
    const { mesh } = posed(joined(box(10, 10, 4), moved(box(10, 10, 4), [3, 0, 4.2])), pose);
    const facets = mesh.facets.slice();
    for (let i = 0; i < facets.length; i += 3) [facets[i], facets[i + 1]] = [facets[i + 1], facets[i]];
    expect(read({ ...mesh, facets }).smallestGapZ?.sizeMm).toBeCloseTo(0.2 * lean, 6);
  });
});

test('within a layer walls and gaps are as they were drawn, and below their thresholds are listed', () => {
  const mesh = joined(box(10, 10, 0.3), moved(box(10, 10, 3), [0, 0, 0.42]));
  const { thinFloors, thinRoofs } = readLayers(mesh, {
    heightMm: 0.05,
    pixelMm: 0.05,
    bodyOf: listShells(mesh),
    thinFloorMm: 0.5,
    thinRoofMm: 0.2,
  });
  expect(thinFloors.map(({ sizeMm }) => sizeMm)).toEqual([expect.closeTo(0.3, 9)]);
  expect(thinRoofs.map(({ sizeMm }) => sizeMm)).toEqual([expect.closeTo(0.12, 9)]);
});
