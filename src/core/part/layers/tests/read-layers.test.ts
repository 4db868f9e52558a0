import { describe, expect, test } from '@jest/globals';
import type { Manifold } from 'manifold-3d';
import { checkMesh, listShells, type Mesh } from '@/core/part/mesh';
import { seededRandom } from '@/core/kit/numerics';
import { loadTestKernel } from '@/testing/kernel';
import { box, moved } from '@/testing/meshes';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import { readLayers, type LayerReading, type ReadingOptions } from '../read-layers';
import { sweepLayers } from '../sweep';

const kernel = await loadTestKernel();
const solids = printedSolids(kernel);
const PIXEL = 0.1;
const LAYER = 0.1;

interface Orientation {
  readonly turnDeg: number;
  readonly tiltDeg: number;
}
const POSES: readonly Orientation[] = [0, 20].flatMap((tiltDeg) =>
  [0, 37].map((turnDeg) => ({ turnDeg, tiltDeg })),
);

function pose(solid: Manifold, { turnDeg, tiltDeg }: Orientation): Mesh {
  return seatedMesh(solid.rotate([tiltDeg, 0, 0]).rotate([0, 0, turnDeg]));
}

const known = new Map<string, LayerReading>();

/** Every solid is read once per orientation. */
function read(solid: Manifold, at: Orientation, options: Partial<ReadingOptions> = {}): LayerReading {
  const key = JSON.stringify([Object.values(solids).indexOf(solid), at, options]);
  const reading =
    known.get(key) ?? readLayers(pose(solid, at), { heightMm: LAYER, pixelMm: PIXEL, ...options });
  if (!key.startsWith('[-1')) known.set(key, reading);
  return reading;
}

/** A place of the untilted solid after its turn. */
function turned([x, y]: readonly number[], turnDeg: number): [number, number] {
  const turn = (turnDeg * Math.PI) / 180;
  return [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
}

const volumeOf = ({ areaMm2, heightMm }: LayerReading) =>
  areaMm2.reduce((sum, area) => sum + area * heightMm, 0);

describe.each(POSES)('a part turned by $turnDeg° and tilted by $tiltDeg°', (at) => {
  const flat = at.tiltDeg === 0;

  test.each(Object.entries(solids))('%s: layer areas × height are its volume', (_, solid) => {
    expect(volumeOf(read(solid, at)) / solid.volume()).toBeCloseTo(1, 2);
  });
  test('a box has neither islands nor hollows, and its width is its smallest wall', () => {
    const { islands, cups, traps, voids, smallestWall, smallestGap } = read(solids.box, at);
    expect([islands, cups, traps, voids].map((each) => each.length)).toEqual([0, 0, 0, 0]);
    // In the plane a wall that leans by 20° measures more by 1/cos 20°.
    expect(smallestWall!.sizeMm).toBeCloseTo(flat ? 12 : 12 / Math.cos(Math.PI / 9), 1);
    expect(smallestGap).toBeUndefined();
  });
  test('a cup mouth down on the plate sucks from its first layer, and not where it leans', () => {
    const { cups, traps, smallestWall } = read(solids.mouthDown, at);
    expect(cups).toHaveLength(flat ? 1 : 0);
    expect(traps).toHaveLength(1);
    expect(Math.abs(smallestWall!.sizeMm - 1.5)).toBeLessThan(PIXEL);
    if (!flat) return;
    expect(cups[0]).toMatchObject({ fromLayer: 0, toLayer: 99 });
    // π·8²·10 as a polygon of 128 corners.
    expect(cups[0].volumeMm3 / 2010.6).toBeCloseTo(1, 2);
    // The vent lies in the wall, beside the plate.
    const [x, y, z] = cups[0].ventMm;
    expect(Math.hypot(x, y)).toBeGreaterThan(8);
    expect(Math.hypot(x, y)).toBeLessThan(9.5);
    expect(z).toBeLessThan(LAYER);
  });
  test('a notch beside the plate lets it breathe', () => {
    expect(read(solids.notched, at).cups).toHaveLength(0);
  });
  test('lifted on supports it sucks on nothing, but keeps resin while it hangs', () => {
    const { cups, traps } = read(solids.mouthDown, at, { onSupports: true });
    expect(cups).toHaveLength(0);
    expect(traps).toHaveLength(1);
    if (flat) expect(traps[0].volumeMm3 / 2010.6).toBeCloseTo(1, 2);
  });
  test('a bowl open away from the plate sucks from its floor to its rim and drains as it hangs', () => {
    const { cups, traps, voids } = read(solids.bowl, at);
    expect([cups.length, traps.length, voids.length]).toEqual([1, 0, 0]);
    // Leaning, it holds what lies below its lowest point of the rim: π·8²·(10 − 8·tan 20°).
    const volume = flat ? 2010.6 : Math.PI * 64 * (10 - 8 * Math.tan(Math.PI / 9));
    expect(cups[0].volumeMm3 / volume).toBeCloseTo(1, 2);
    if (flat) expect(cups[0]).toMatchObject({ fromLayer: 20, toLayer: 119 });
  });
  test('a sealed hollow is a void and no cup', () => {
    const { cups, traps, voids } = read(solids.hollow, at);
    expect([cups.length, traps.length, voids.length]).toEqual([0, 0, 1]);
    expect(voids[0].volumeMm3 / 240).toBeCloseTo(1, 2);
    if (flat) expect(voids[0]).toMatchObject({ fromLayer: 30, toLayer: 79 });
  });
  test('a peg that hangs from a table begins as an island', () => {
    const { islands } = read(solids.table, at);
    // Leaning, two of the four legs begin in the air as well.
    expect(islands).toHaveLength(flat ? 1 : 3);
    if (!flat) return;
    const [x, y] = turned([10, 10], at.turnDeg);
    expect(islands[0].layer).toBe(60);
    expect(Math.abs(islands[0].atMm[0] - x)).toBeLessThan(PIXEL);
    expect(Math.abs(islands[0].atMm[1] - y)).toBeLessThan(PIXEL);
    expect(islands[0].areaMm2).toBeCloseTo(4, 0);
  });
  test('on supports every leg is an island too', () => {
    expect(read(solids.table, at, { onSupports: true }).islands).toHaveLength(5);
  });
  test('two blocks 0.3 mm apart have that gap between two bodies', () => {
    const mesh = pose(solids.apart, at);
    const { smallestGap, islands } = readLayers(mesh, {
      heightMm: LAYER,
      pixelMm: PIXEL,
      bodyOf: listShells(mesh),
    });
    expect(Math.abs(smallestGap!.sizeMm - 0.3)).toBeLessThan(PIXEL);
    expect(smallestGap!.betweenBodies).toBe(true);
    expect(islands).toHaveLength(0);
  });
  test('a cone on its tip stands on nearly nothing', () => {
    const reading = read(solids.cone, at);
    expect(reading.areaMm2[0]).toBeLessThan(0.01);
    expect(reading.islands).toHaveLength(0);
    const lifted = read(solids.cone, at, { onSupports: true });
    expect(lifted.islands).toEqual([expect.objectContaining({ layer: 0 })]);
    expect(Math.hypot(lifted.islands[0].atMm[0], lifted.islands[0].atMm[1])).toBeLessThan(PIXEL);
  });
  test('of two rings through one another the lying one begins in the air, 2.5 mm beside the other', () => {
    const { islands, smallestGap, smallestWall, cups } = read(solids.rings, at);
    expect(islands).toHaveLength(1);
    expect(cups).toHaveLength(0);
    expect(Math.abs(smallestGap!.sizeMm - 2.5)).toBeLessThan(PIXEL);
    expect(Math.abs(smallestWall!.sizeMm - 3)).toBeLessThan(PIXEL);
    if (flat) expect(islands[0].layer).toBe(85);
  });
});

describe('layers in detail', () => {
  const still = { turnDeg: 0, tiltDeg: 0 };

  test('a table top hangs where no leg is below, but for the step that holds itself', () => {
    const { overhangMm2 } = read(solids.table, still, { selfSupportingMm: 0.1 });
    const top = 400 - 4 * 9.3 - 4.4;
    expect(overhangMm2[100]).toBeGreaterThan(top - 2);
    expect(overhangMm2[100]).toBeLessThan(400 - 40);
    expect(overhangMm2[50]).toBe(0);
  });
  test('a slope of 45° holds itself, a flatter one hangs', () => {
    const wedge = (widthMm: number) =>
      kernel.Manifold.hull([
        [0, 0, 0],
        [2, 0, 0],
        [0, 5, 0],
        [2, 5, 0],
        [0, 0, 4],
        [2 + widthMm, 0, 4],
        [0, 5, 4],
        [2 + widthMm, 5, 4],
      ]);
    const hanging = (widthMm: number) => Math.max(...read(wedge(widthMm), still).overhangMm2);
    expect(hanging(3.9)).toBe(0);
    // It leans by 0.3 a layer of 0.1: 0.2 × 5 hang.
    expect(hanging(12)).toBeCloseTo(1, 1);
  });
  test('corners that lie in the very plane of a layer are cut once', () => {
    // Steps at 0.25 and 0.75: the middles of layers 0 and 1 of 0.5.
    const slab = kernel.Manifold.cube([10, 10, 0.25]).add(kernel.Manifold.cube([8, 8, 0.75]));
    const stair = slab.add(kernel.Manifold.cube([6, 6, 2]));
    const { areaMm2, islands } = readLayers(seatedMesh(stair), { heightMm: 0.5, pixelMm: 0.1 });
    expect([...areaMm2].every(Number.isFinite)).toBe(true);
    expect(areaMm2[2]).toBeCloseTo(36, 6);
    expect(areaMm2[3]).toBeCloseTo(36, 6);
    for (const area of areaMm2) expect([36, 64, 100]).toContain(Math.round(area));
    expect(islands).toHaveLength(0);
  });
  test.each([3, 11, 29])('agrees with the plain sweep on a random solid (%i)', (seed) => {
    const random = seededRandom(seed);
    const some = (low: number, high: number) => low + (high - low) * random.uniform();
    const piece = () =>
      kernel.Manifold.cube([some(4, 12), some(4, 12), some(4, 12)], true)
        .rotate([some(0, 90), some(0, 90), some(0, 90)])
        .translate([some(-4, 4), some(-4, 4), some(-4, 4)]);
    const mesh = seatedMesh(piece().add(piece()).subtract(piece()));
    const [plain, whole] = [
      sweepLayers(mesh, { heightMm: 0.2 }),
      readLayers(mesh, { heightMm: 0.2, pixelMm: 0.2 }),
    ];
    whole.areaMm2.forEach((area, layer) => expect(area).toBeCloseTo(plain.areaMm2[layer], 6));
    whole.perimeterMm.forEach((length, layer) => expect(length).toBeCloseTo(plain.perimeterMm[layer], 6));
  });
  test('bodies drawn into one another are one', () => {
    const a = box(4, 4, 4);
    const b = moved(box(4, 4, 4), [2, 0, 0]);
    const both: Mesh = {
      positions: Float64Array.from([...a.positions, ...b.positions]),
      facets: Uint32Array.from([
        ...a.facets,
        ...[...b.facets].map((index) => index + a.positions.length / 3),
      ]),
    };
    const { areaMm2, islands, smallestGap } = readLayers(both, { heightMm: LAYER, pixelMm: PIXEL });
    expect(areaMm2[10]).toBeCloseTo(6 * 4, 3);
    expect(islands).toHaveLength(0);
    expect(smallestGap).toBeUndefined();
  });
  test('a part that is inside out reads as its right side', () => {
    const right = pose(solids.mouthDown, still);
    const wrong: Mesh = { positions: right.positions, facets: right.facets.slice().reverse() };
    expect(checkMesh(wrong).volumeMm3).toBeLessThan(0);
    const [a, b] = [right, wrong].map((mesh) => readLayers(mesh, { heightMm: LAYER, pixelMm: PIXEL }));
    expect(b.cups).toHaveLength(1);
    expect(b.areaMm2[3]).toBeCloseTo(a.areaMm2[3], 6);
  });
  test('a move in the plane changes nothing, a kilometre included', () => {
    const here = readLayers(pose(solids.table, still), { heightMm: LAYER, pixelMm: PIXEL });
    const far = readLayers(moved(pose(solids.table, still), [1e6, -1e6, 0]), {
      heightMm: LAYER,
      pixelMm: PIXEL,
    });
    expect(far.islands.map(({ layer }) => layer)).toEqual(here.islands.map(({ layer }) => layer));
    expect(far.smallestWall!.sizeMm).toBeCloseTo(here.smallestWall!.sizeMm, 6);
    expect(far.areaMm2[10]).toBeCloseTo(here.areaMm2[10], 4);
  });
  test('walls and gaps below a threshold are listed once each, the smallest first', () => {
    const three = solids.apart.add(kernel.Manifold.cube([8, 10, 6]).translate([16.45, 0, 0]));
    const { thinGaps } = read(three, still, { thinGapMm: 0.4 });
    expect(thinGaps.map(({ sizeMm }) => Math.round(1e3 * sizeMm))).toEqual([150, 300]);
    expect(read(solids.apart, still, { thinGapMm: 0.2 }).thinGaps).toHaveLength(0);
  });
});
