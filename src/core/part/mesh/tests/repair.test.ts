import { describe, expect, test } from '@jest/globals';
import { loadTestKernel } from '@/testing/kernel';
import { box, cornersOf, moved } from '@/testing/meshes';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import {
  checkMesh,
  guessUnits,
  repairMesh,
  weldCorners,
  type Repair,
  type Mesh,
  type RepairOptions,
} from '../index';

function together(...meshes: readonly Mesh[]): Mesh {
  let from = 0;
  const facets = meshes.flatMap((mesh) => {
    const shifted = [...mesh.facets].map((index) => index + from);
    from += mesh.positions.length / 3;
    return shifted;
  });
  return {
    positions: Float64Array.from(meshes.flatMap(({ positions }) => [...positions])),
    facets: Uint32Array.from(facets),
  };
}
const insideOut = ({ positions, facets }: Mesh): Mesh => ({ positions, facets: facets.slice().reverse() });
const without = ({ positions, facets }: Mesh, ...gone: readonly number[]): Mesh => ({
  positions,
  facets: facets.filter((_, i) => !gone.includes(Math.floor(i / 3))),
});

describe('cavities and shells', () => {
  test('the wall of a hollow is a void, no shell inside out', async () => {
    const { hollow } = printedSolids(await loadTestKernel());
    expect(checkMesh(seatedMesh(hollow))).toMatchObject({ shells: 2, invertedShells: 0, enclosedVoids: 1 });
  });
  test('a shell beside the others is inside out; one within an inverted one is as well', () => {
    const beside = together(box(4, 4, 4), moved(insideOut(box(4, 4, 4)), [10, 0, 0]));
    expect(checkMesh(beside)).toMatchObject({ invertedShells: 1, enclosedVoids: 0 });
    const hollow = together(box(10, 10, 10), moved(insideOut(box(4, 4, 4)), [0, 0, 3]));
    expect(checkMesh(hollow)).toMatchObject({ invertedShells: 0, enclosedVoids: 1 });
    expect(checkMesh(insideOut(hollow))).toMatchObject({ invertedShells: 2, enclosedVoids: 0 });
  });
  test('ten thousand shells inside out are counted', () => {
    const many = together(
      ...Array.from({ length: 10_000 }, (_, i) =>
        moved(insideOut(box(1, 1, 1)), [2 * (i % 100), 2 * Math.floor(i / 100), 0]),
      ),
    );
    expect(checkMesh(many)).toMatchObject({ shells: 10_000, invertedShells: 10_000 });
  });
});

describe('mending a copy', () => {
  const mended = (mesh: Mesh, options?: Partial<RepairOptions>): Repair => repairMesh(mesh, options)!;

  test('a sound mesh stays as it is', () => {
    const { after, turnedFacets, filledHoles, droppedDegenerate } = mended(box(10, 20, 5));
    expect([turnedFacets, filledHoles, droppedDegenerate]).toEqual([0, 0, 0]);
    expect(after).toEqual(checkMesh(box(10, 20, 5)));
  });
  test('where nothing has an area there is nothing to mend', () => {
    const line: Mesh = {
      positions: Float64Array.from([0, 0, 0, 1, 0, 0, 2, 0, 0]),
      facets: Uint32Array.from([0, 1, 2]),
    };
    expect(repairMesh(line)).toBeUndefined();
  });
  test('a missing wall is filled, and the volume is that of the whole box', () => {
    const open = without(box(10, 20, 5), 0, 1);
    expect(checkMesh(open).boundaryEdges).toBe(4);
    const { after, filledHoles, leftHoles, mesh } = mended(open);
    expect([filledHoles, leftHoles]).toEqual([1, 0]);
    expect(after).toMatchObject({ watertight: true, volumeMm3: expect.closeTo(1000, 6) });
    expect(open.facets).toHaveLength(30);
    expect(mesh).not.toBe(open);
  });
  test('a crooked hole and one with too many corners are left and told', () => {
    // Two walls that meet at a corner of the box are gone: the loop is no plane.
    const crooked = mended(without(box(10, 10, 10), 0, 1, 2, 3));
    expect([crooked.filledHoles, crooked.leftHoles]).toEqual([0, 1]);
    expect(mended(without(box(10, 20, 5), 0, 1), { mostCorners: 3 }).leftHoles).toBe(1);
  });
  test('neighbours that disagree are turned, then the whole the right way out', () => {
    const facets = box(10, 20, 5).facets.slice();
    for (const facet of [0, 3, 7])
      [facets[3 * facet], facets[3 * facet + 1]] = [facets[3 * facet + 1], facets[3 * facet]];
    const { after, before, turnedFacets } = mended({ positions: box(10, 20, 5).positions, facets });
    expect(before.misorientedEdges).toBeGreaterThan(0);
    expect(turnedFacets).toBeGreaterThan(0);
    expect(after).toMatchObject({ watertight: true, invertedShells: 0, volumeMm3: expect.closeTo(1000, 6) });
  });
  test('an inverted shell is flipped, the wall of a cavity is not', () => {
    const hollow = together(box(10, 10, 10), moved(insideOut(box(4, 4, 4)), [0, 0, 3]));
    expect(mended(insideOut(hollow)).after).toMatchObject({
      volumeMm3: expect.closeTo(1000 - 64, 6),
      enclosedVoids: 1,
      invertedShells: 0,
    });
    expect(mended(hollow).turnedFacets).toBe(0);
  });
  test('doubles, facets without area and near vertices go', () => {
    const part = box(10, 20, 5);
    const facets = Uint32Array.from([...part.facets, ...part.facets.slice(0, 3), 0, 0, 1]);
    const { droppedDuplicates, droppedDegenerate, after } = mended({ positions: part.positions, facets });
    expect([droppedDuplicates, droppedDegenerate]).toEqual([1, 1]);
    expect(after.watertight).toBe(true);
    // Every corner on its own, 0.1 µm astray: welded at a micrometre they are eight again.
    const astray = cornersOf(part).map((value, i) => value + (i % 7) * 2e-5);
    const loose = weldCorners(Float64Array.from(astray), { quantumMm: 1e-6 });
    expect(loose.positions.length / 3).toBeGreaterThan(8);
    expect(mended(loose, { weldMm: 0.01 }).after).toMatchObject({ vertices: 8, watertight: true });
  });
});

test('the unit of a file is asked only where millimetres make no part', () => {
  const guess = (size: number) => guessUnits(checkMesh(box(size, size / 2, size / 3)).bounds);
  expect(guess(40)).toEqual(['mm']);
  // 0.03 m are 30 mm; as centimetres or inches it would be smaller than anybody prints.
  expect(guess(0.03)).toEqual(['m', 'mm']);
  expect(guess(1.5)[0]).toBe('cm');
  expect(guess(9000)).toEqual(['mm']);
});
