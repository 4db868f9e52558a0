import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { box, cornersOf, moved } from '@/testing/meshes';
import { checkMesh, weldCorners, type Mesh } from '../index';

const BOX = box(10, 20, 5);

/** Two meshes as one, without joining them. */
function beside(a: Mesh, b: Mesh): Mesh {
  const shift = a.positions.length / 3;
  return {
    positions: Float64Array.from([...a.positions, ...b.positions]),
    facets: Uint32Array.from([...a.facets, ...[...b.facets].map((vertex) => vertex + shift)]),
  };
}

function turnedInsideOut({ positions, facets }: Mesh): Mesh {
  const turned = facets.slice();
  for (let i = 0; i < turned.length; i += 3) [turned[i], turned[i + 1]] = [turned[i + 1], turned[i]];
  return { positions, facets: turned };
}

test('a box is closed, of one shell, with its volume and area', () => {
  expect(checkMesh(BOX)).toMatchObject({
    facets: 12,
    vertices: 8,
    watertight: true,
    shells: 1,
    invertedShells: 0,
    volumeMm3: expect.closeTo(1000, 9),
    areaMm2: 700,
    bounds: { min: [-5, -10, 0], max: [5, 10, 5] },
  });
});

test('without a facet it is open along three edges', () => {
  const open = { positions: BOX.positions, facets: BOX.facets.slice(3) };
  expect(checkMesh(open)).toMatchObject({ watertight: false, boundaryEdges: 3, nonManifoldEdges: 0 });
});

test('inside out its volume is negative and its shell inverted', () => {
  expect(checkMesh(turnedInsideOut(BOX))).toMatchObject({
    watertight: true,
    volumeMm3: expect.closeTo(-1000, 9),
    invertedShells: 1,
  });
});

test('one facet turned is wound against three neighbours', () => {
  const facets = BOX.facets.slice();
  [facets[0], facets[1]] = [facets[1], facets[0]];
  expect(checkMesh({ positions: BOX.positions, facets })).toMatchObject({
    watertight: false,
    misorientedEdges: 3,
  });
});

test('a facet twice is counted as a duplicate and its edges as crowded', () => {
  const facets = Uint32Array.from([...BOX.facets, ...BOX.facets.slice(0, 3)]);
  expect(checkMesh({ positions: BOX.positions, facets })).toMatchObject({
    duplicateFacets: 1,
    nonManifoldEdges: 3,
    watertight: false,
  });
});

test('facets without area are counted and left out', () => {
  const facets = Uint32Array.from([...BOX.facets, 0, 0, 1]);
  expect(checkMesh({ positions: BOX.positions, facets })).toMatchObject({
    degenerateFacets: 1,
    watertight: true,
    volumeMm3: expect.closeTo(1000, 9),
  });
});

test('two boxes are two shells and their volumes add', () => {
  expect(checkMesh(beside(BOX, moved(BOX, [50, 0, 0])))).toMatchObject({
    shells: 2,
    volumeMm3: expect.closeTo(2000, 9),
    watertight: true,
  });
});

test('a mesh of nothing is a mistake of the caller', () => {
  expect(() => checkMesh({ positions: new Float64Array(0), facets: new Uint32Array(0) })).toThrow(RangeError);
});

test('moving and turning a part keeps volume, area, shells and edges', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -500, max: 500, noNaN: true }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      (shift, angle) => {
        const check = checkMesh(moved(BOX, [shift, -shift, shift / 2], angle));
        expect(check.volumeMm3).toBeCloseTo(1000, 5);
        expect(check.areaMm2).toBeCloseTo(700, 6);
        expect([check.shells, check.boundaryEdges]).toEqual([1, 0]);
      },
    ),
    { seed: 9, numRuns: 40 },
  );
});

describe('welding', () => {
  test('joins equal corners and keeps order and winding', () => {
    const welded = weldCorners(cornersOf(BOX));
    expect(welded.positions.length / 3).toBe(8);
    expect(cornersOf(welded)).toEqual(cornersOf(BOX));
  });

  test('corners a thousandth of a millimetre apart stay apart', () => {
    expect(
      weldCorners([0, 0, 0, 10, 0, 0, 0, 10, 0, 0.001, 0, 0, 10, 0, 0, 0, 10, 0]).positions.length / 3,
    ).toBe(4);
  });

  test('far from the origin a part still welds', () => {
    expect(weldCorners(cornersOf(moved(BOX, [1e4, -1e4, 500]))).positions.length / 3).toBe(8);
  });

  test('nothing welds to nothing', () => {
    expect(weldCorners([])).toEqual({ positions: new Float64Array(0), facets: new Uint32Array(0) });
  });
});

test('the tip of a fan has thousands of sides, and its edges are found all the same', () => {
  const count = 3000;
  const rim = Array.from({ length: count }, (_, i) => (2 * Math.PI * i) / count);
  const at = (i: number) => [Math.cos(rim[i % count]), Math.sin(rim[i % count]), 0];
  // Facets in an order that no edge follows.
  const order = Array.from({ length: count }, (_, i) => (i * 1009) % count);
  const corners = order.flatMap((i) => [
    ...[0, 0, 1],
    ...at(i),
    ...at(i + 1),
    ...[0, 0, 0],
    ...at(i + 1),
    ...at(i),
  ]);
  const check = checkMesh(weldCorners(Float64Array.from(corners)));
  expect(check).toMatchObject({ facets: 2 * count, watertight: true, shells: 1, boundaryEdges: 0 });
  // A cone of unit height over a polygon of so many corners in the unit circle.
  expect(check.volumeMm3).toBeCloseTo((count / 2) * Math.sin((2 * Math.PI) / count) * (1 / 3), 9);
});
