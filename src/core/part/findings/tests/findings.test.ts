import { describe, expect, test } from '@jest/globals';
import type { Manifold } from 'manifold-3d';
import { checkMesh, listShells, type Mesh } from '@/core/part/mesh';
import { readLayers } from '@/core/part/layers';
import { loadTestKernel } from '@/testing/kernel';
import { box, joined, moved } from '@/testing/meshes';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import {
  fitsAnyhow,
  fitsRoom,
  leastScale,
  limitsOf,
  listFindings,
  posedMesh,
  readingFor,
  rotationTo,
  searchOrientation,
  STUDIED_ORIENTATIONS,
  turnPoint,
  weighOrientation,
  weighScale,
  type Machine,
  type PrintSetup,
} from '../index';

const kernel = await loadTestKernel();
const solids = printedSolids(kernel);
const MACHINE: Machine = {
  pixelMm: 0.05,
  layerMm: 0.1,
  layerSeconds: 10,
  rooms: { plate: [120, 70, 150] },
  jointGapsMm: [],
};
const ON_PLATE: PrintSetup = { kind: 'plate' };

function judged(solid: Manifold, machine: Partial<Machine> = {}, stance: PrintSetup = ON_PLATE) {
  const mesh = seatedMesh(solid);
  const limits = limitsOf({ ...MACHINE, ...machine });
  const reading = readLayers(mesh, { ...readingFor(limits, stance), bodyOf: listShells(mesh) });
  return listFindings(checkMesh(mesh), reading, limits, stance);
}
const codes = (...given: Parameters<typeof judged>) => judged(...given).map(({ code }) => code);

/** The same for meshes that no kernel would make: bodies that are not united. */
function judgedMesh(mesh: Mesh, stance: PrintSetup = ON_PLATE) {
  const limits = limitsOf(MACHINE);
  const reading = readLayers(mesh, { ...readingFor(limits, stance), bodyOf: listShells(mesh) });
  return listFindings(checkMesh(mesh), reading, limits, stance);
}

describe('what runs along Z', () => {
  test('bodies drawn into one another are found with what they share and where, but not supports in the file', () => {
    const mesh = joined(box(10, 10, 6), moved(box(10, 10, 6), [6, 0, 3]));
    const found = judgedMesh(mesh).find(({ code }) => code === 'bodiesOverlap')!;
    expect(found.measured / 120).toBeCloseTo(1, 2);
    expect(found.atMm![2]).toBeCloseTo(4.5, 1);
    expect(judgedMesh(mesh, { kind: 'inFile' }).map(({ code }) => code)).not.toContain('bodiesOverlap');
  });
  test('a floor of two layers, a copy stacked too near, a slot below a roof', () => {
    const floor = joined(box(10, 10, 0.2), moved(box(2, 2, 4), [0, 0, 0.2]));
    expect(judgedMesh(floor)).toContainEqual(expect.objectContaining({ code: 'thinFloor', measured: 0.2 }));
    const stacked = joined(box(10, 10, 3), moved(box(10, 10, 3), [0, 0, 3.15]));
    expect(judgedMesh(stacked)).toContainEqual(
      expect.objectContaining({ code: 'stackFuses', measured: expect.closeTo(0.15, 6) }),
    );
    const slotted = seatedMesh(
      kernel.Manifold.cube([12, 12, 6]).subtract(kernel.Manifold.cube([8, 12, 0.15]).translate([4, 0, 3])),
    );
    expect(judgedMesh(slotted)).toContainEqual(expect.objectContaining({ code: 'roofCloses' }));
  });
});

describe('findings', () => {
  test('a plain box has none', () => {
    expect(codes(solids.box)).toEqual([]);
  });
  test('a cup mouth down on the plate, the same on supports, and with its notch', () => {
    expect(codes(solids.mouthDown)).toContain('cup');
    expect(codes(solids.mouthDown, {}, { kind: 'supports', liftMm: 5 })).not.toContain('cup');
    expect(codes(solids.notched)).not.toContain('cup');
  });
  test('an island says where it begins', () => {
    expect(judged(solids.table).find(({ code }) => code === 'island')).toMatchObject({
      layer: 60,
      risk: 'printLost',
    });
  });
  test('two bodies fuse below the gap that a ladder or their joint asks for', () => {
    expect(codes(solids.apart)).not.toContain('bodiesFuse');
    expect(codes(solids.apart)).not.toContain('bodiesOverlap');
    expect(codes(solids.apart, { ladderGapMm: 0.35 })).toContain('bodiesFuse');
    expect(codes(solids.apart, { jointGapsMm: [0.4, 0.32] })).toContain('bodiesFuse');
    expect(codes(solids.apart, { jointGapsMm: [0.3] })).not.toContain('bodiesFuse');
  });
  test('a cone on its tip stands on nothing, and that costs the most', () => {
    const [first] = judged(solids.cone);
    expect(first).toMatchObject({ code: 'standsOnNothing', risk: 'printLost', chance: 'sure' });
  });
  test('walls are held against the pixels of this printer', () => {
    expect(codes(solids.mouthDown, { pixelMm: 0.05 })).not.toContain('thinWall');
    expect(codes(solids.mouthDown, { pixelMm: 0.5 })).toContain('thinWall');
  });
  test('each station too small is named; a part is laid into wash and lamp as it comes', () => {
    const rooms = { plate: [120, 70, 5], wash: [21, 13, 9], lamp: [19, 50, 50] } as const;
    const tooLarge = judged(solids.box, { rooms }).filter(({ code }) => code === 'tooLarge');
    expect(tooLarge.map(({ station }) => station)).toEqual(['plate']);
    expect(judged(solids.box, { rooms: { lamp: [19, 10, 11] } })[0]).toMatchObject({
      station: 'lamp',
      risk: 'sizeOff',
    });
    expect([fitsRoom([10, 20, 5], [20, 10, 5]), fitsRoom([10, 5, 20], [20, 10, 5])]).toEqual([true, false]);
    expect(fitsAnyhow([10, 5, 20], [20, 10, 5])).toBe(true);
  });
  test('the list is in order of cost, keys are its own, and a longer print costs more', () => {
    const found = judged(solids.mouthDown, { pixelMm: 0.5 });
    const costs = found.map(({ costHours }) => costHours);
    expect(costs).toEqual([...costs].sort((a, b) => b - a));
    expect(new Set(found.map(({ key }) => key)).size).toBe(found.length);
    const slow = judged(solids.mouthDown, { pixelMm: 0.5, layerSeconds: 60 });
    expect(slow[0].costHours).toBeGreaterThan(costs[0]);
  });
  test('a long sort is cut and says how many follow', () => {
    const pegs = Array.from({ length: 9 }, (_, i) =>
      kernel.Manifold.cube([1, 1, 4]).translate([4 * i, 9, 6]),
    );
    const comb = pegs.reduce(
      (all, peg) => all.add(peg),
      solids.table.add(kernel.Manifold.cube([40, 20, 2]).translate([0, 0, 10])),
    );
    const islands = judged(comb).filter(({ code }) => code === 'island');
    expect(islands).toHaveLength(6);
    expect(islands.at(-1)!.more).toBeGreaterThan(0);
  });
});

describe('poses and scales', () => {
  const limits = limitsOf(MACHINE);
  const bar = seatedMesh(kernel.Manifold.cube([4, 6, 40]));
  /** Across, across and along the bar. */
  const CRITICAL = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ] as const;
  const weigh = (index: number) =>
    weighOrientation(bar, STUDIED_ORIENTATIONS[index], limits, {
      stance: ON_PLATE,
      critical: CRITICAL,
      seen: [],
    });

  test('a rotation brings its direction up and keeps lengths', () => {
    for (const { up } of STUDIED_ORIENTATIONS) {
      const [x, y, z] = turnPoint(rotationTo(up), up);
      expect([x, y, z].map((value) => Math.abs(Math.round(value * 1e9) / 1e9))).toEqual([0, 0, 1]);
    }
    expect(checkMesh(posedMesh(bar, [0.3, -0.5, 0.2], 2)).volumeMm3).toBeCloseTo(8 * 960, 6);
  });
  test('a lying bar is done sooner and peels more; its length no longer runs along Z', () => {
    const [standing, lying] = [weigh(0), weigh(2)];
    expect(standing.heightMm).toBeCloseTo(40, 9);
    expect(lying.heightMm).toBeCloseTo(4, 9);
    expect(lying.hours).toBeCloseTo(standing.hours / 10, 1);
    expect([standing.peakMm2, lying.peakMm2].map(Math.round)).toEqual([24, 240]);
    expect([standing.supportedMm2, lying.supportedMm2].map(Math.round)).toEqual([0, 0]);
    expect(lying.alongZ).toBe(1);
  });
  test('the search finds a pose no worse than those studied', () => {
    const stance: PrintSetup = { kind: 'supports', liftMm: 5 };
    const found = weighOrientation(bar, searchOrientation(bar, limits, { stance, seen: [] }), limits, {
      stance,
      critical: [],
      seen: [],
    });
    // A bar on supports: lying it is low, standing it peels little; neither all the way.
    expect(found.heightMm).toBeLessThan(45 + 1e-6);
    expect(found.peakMm2).toBeLessThan(240 + 1e-6);
  });
  test('160 %: lengths by 1.6, areas by 2.56, resin by 4.1; rooms and walls judged anew', () => {
    const mesh = seatedMesh(solids.mouthDown);
    const reading = readLayers(mesh, { heightMm: 0.1, pixelMm: 0.1 });
    const tight = limitsOf({ ...MACHINE, rooms: { plate: [25, 25, 50], lamp: [40, 40, 40] } });
    const [one, large] = [1, 1.6].map((scale) =>
      weighScale(checkMesh(mesh), reading, tight, { scale, liftMm: 0 }),
    );
    expect(large.heightMm / one.heightMm).toBeCloseTo(1.6, 9);
    expect(large.firstMm2 / one.firstMm2).toBeCloseTo(2.56, 9);
    expect(large.resinMl / one.resinMl).toBeCloseTo(4.096, 9);
    expect(large.wallMm! / one.wallMm!).toBeCloseTo(1.6, 9);
    expect([one.fits, large.fits]).toEqual([
      { plate: true, lamp: true },
      { plate: false, lamp: true },
    ]);
    // The wall of 1.5 needs 4 × 0.05.
    expect(leastScale(reading, tight)).toBeCloseTo(0.2 / reading.smallestWall!.sizeMm, 9);
  });
});
