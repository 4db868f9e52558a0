import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { buildSolid, ringOf } from '@/core/fit/solids';
import type { FeatureKind } from '@/core/measure';
import { loadTestKernel } from '@/testing/kernel';
import { seededRandom } from '@/core/kit/numerics';
import { box, joined, moved, prism } from '@/testing/meshes';
import {
  checkMesh,
  correctAndMeasure,
  correctAndProve,
  correctMesh,
  joinContours,
  measureFeature,
  readStl,
  sectionAt,
  weldCorners,
  writeStl,
  type Mesh,
  type PartCorrection,
  type Point,
} from '../index';
import { findCrossings } from '../crossings';

const NOTHING: PartCorrection = {
  epsilonX: 0,
  epsilonY: 0,
  epsilonZ: 0,
  skew: 0,
  edgeMm: 0,
  insideMm: 0,
  roundMm2: 0,
  zSupportedMm: 0,
  zPlateMm: 0,
};
const BY: PartCorrection = {
  epsilonX: -0.005,
  epsilonY: -0.004,
  epsilonZ: -0.006,
  skew: 0.0008,
  edgeMm: 0.05,
  insideMm: 0.03,
  roundMm2: 0.2,
  zSupportedMm: 0.1,
  zPlateMm: -0.08,
};
const TWO_MICROMETRES = 0.002;

/** Written to a file and read back, as it goes to the printer. */
function throughAFile(mesh: Mesh): Mesh {
  return weldCorners(expectOk(readStl(writeStl(mesh))).corners);
}

function measured(mesh: Mesh, kind: FeatureKind, anchor: Point): number {
  return expectOk(measureFeature(mesh, kind, anchor));
}

const WIDTH_X: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
const WIDTH_Y: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Y' };
const SLOT_X: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'X' };
const HEIGHT: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' };

/** What a width must become so that the process (scale first, edges after) brings it to `wanted`. */
const asked = (wanted: number, epsilon: number, edgeSign: 1 | -1) =>
  (wanted - edgeSign * 2 * BY.edgeMm) / (1 + epsilon);
const NO_SKEW = { ...BY, skew: 0 };

describe('corrected mesh, written, read back and measured', () => {
  test('ring: diameters and height are what was asked, within 2 µm', async () => {
    const recipe = ringOf(1, 2, 3);
    const drawn = new Map([
      [1, 16],
      [2, 9.5],
      [3, 6],
    ]);
    const ring = buildSolid(await loadTestKernel(), recipe, (id) => drawn.get(id)!);
    const round = { ...BY, epsilonX: -0.005, epsilonY: -0.005, skew: 0 };
    const corrected = throughAFile(correctMesh(ring, round).mesh);
    const outer = measured(corrected, { sense: 'outside', shape: 'round', axis: 'XY' }, [8, 0, 3]);
    const bore = measured(corrected, { sense: 'inside', shape: 'round', axis: 'XY' }, [-4.75, 0, 3]);
    const height = measured(corrected, HEIGHT, [0, 6.4, 6]);
    expect(Math.abs(outer - asked(16, -0.005, 1))).toBeLessThan(TWO_MICROMETRES);
    expect(Math.abs(bore - asked(9.5, -0.005, -1))).toBeLessThan(TWO_MICROMETRES);
    expect(Math.abs(height - (6 - BY.zPlateMm) / (1 + BY.epsilonZ))).toBeLessThan(TWO_MICROMETRES);
    expect(checkMesh(corrected).watertight).toBe(true);
  });

  test('block with slots: widths, slots and height', async () => {
    const recipe = { kind: 'comb', length: 1, height: 2, pockets: [3, 4], wallMm: 2, depthMm: 12 } as const;
    const drawn = new Map([
      [1, 30],
      [2, 8],
      [3, 4],
      [4, 6],
    ]);
    const comb = buildSolid(await loadTestKernel(), recipe, (id) => drawn.get(id)!);
    const corrected = throughAFile(correctMesh(comb, NO_SKEW).mesh);
    expect(Math.abs(measured(corrected, WIDTH_X, [15, 4, 4]) - asked(30, BY.epsilonX, 1))).toBeLessThan(
      TWO_MICROMETRES,
    );
    expect(Math.abs(measured(corrected, WIDTH_Y, [14, 6, 4]) - asked(12, BY.epsilonY, 1))).toBeLessThan(
      TWO_MICROMETRES,
    );
    // Pockets of 4 and 6 with a wall of 2 between: middles at −4 and 3.
    expect(Math.abs(measured(corrected, SLOT_X, [-2, -3, 4]) - asked(4, BY.epsilonX, -1))).toBeLessThan(
      TWO_MICROMETRES,
    );
    expect(Math.abs(measured(corrected, SLOT_X, [6, -3, 4]) - asked(6, BY.epsilonX, -1))).toBeLessThan(
      TWO_MICROMETRES,
    );
  });

  test('a wall at 30° moves square to itself, with the shrink of its own direction and the skew', () => {
    const angle = Math.PI / 6;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const turn = ([x, y]: readonly [number, number]): [number, number] => [
      cos * x - sin * y,
      sin * x + cos * y,
    ];
    const outline = (
      [
        [-10, -1.5],
        [10, -1.5],
        [10, 1.5],
        [-10, 1.5],
      ] as const
    ).map(turn);
    const wall = prism([outline], 6);
    // Across the wall is the direction 120° from X; the process is asked for 3 mm there.
    const across = angle + Math.PI / 2;
    const kind: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'XY', angleRad: across };
    const corrected = throughAFile(correctMesh(wall, BY).mesh);
    const scale =
      1 +
      BY.epsilonX * Math.cos(across) ** 2 +
      BY.epsilonY * Math.sin(across) ** 2 +
      BY.skew * Math.sin(across) * Math.cos(across);
    expect(Math.abs(measured(corrected, kind, [0, 0, 3]) - (3 - 2 * BY.edgeMm) / scale)).toBeLessThan(
      TWO_MICROMETRES,
    );
  });

  test('an inner corner keeps both its walls where they were asked', () => {
    // An L: 20 × 20 with a corner of 12 × 12 taken away; walls 8 thick.
    const outline = [
      [0, 0],
      [20, 0],
      [20, 8],
      [8, 8],
      [8, 20],
      [0, 20],
    ] as const;
    const ell = prism([outline], 5, [
      [0, 1, 2],
      [0, 2, 3],
      [0, 3, 4],
      [0, 4, 5],
    ]);
    const corrected = throughAFile(correctMesh(ell, NO_SKEW).mesh);
    expect(Math.abs(measured(corrected, WIDTH_X, [0, 15, 2.5]) - asked(8, BY.epsilonX, 1))).toBeLessThan(
      TWO_MICROMETRES,
    );
    expect(Math.abs(measured(corrected, WIDTH_Y, [15, 0.2, 2.5]) - asked(8, BY.epsilonY, 1))).toBeLessThan(
      TWO_MICROMETRES,
    );
    const [contour] = joinContours(sectionAt(corrected, 2.5));
    expect(contour.points.length).toBeGreaterThanOrEqual(12);
  });
});

describe('correcting', () => {
  test('for a perfect process changes nothing', () => {
    const { mesh, worstMissMm, crossedFacets } = correctMesh(box(10, 20, 5), NOTHING);
    mesh.positions.forEach((value, i) => expect(value).toBeCloseTo(box(10, 20, 5).positions[i], 9));
    expect(worstMissMm).toBeLessThan(1e-6);
    expect(crossedFacets).toBe(0);
  });

  test('a hanging face is raised, the plate face moved instead when the part stands on it', () => {
    const onPlate = correctMesh(box(10, 10, 5), { ...NOTHING, zPlateMm: -0.08, zSupportedMm: 0.1 });
    const lifted = correctMesh(
      box(10, 10, 5),
      { ...NOTHING, zPlateMm: -0.08, zSupportedMm: 0.1 },
      { onPlate: false, hangingFrom: 0.7 },
    );
    expect(checkMesh(onPlate.mesh).bounds.max[2]).toBeCloseTo(5.08, 9);
    expect(checkMesh(lifted.mesh).bounds.max[2]).toBeCloseTo(4.9, 9);
    expect(checkMesh(lifted.mesh).bounds.min[2]).toBeCloseTo(0, 9);
  });

  test('a wall thinner than the offset is told, not hidden', () => {
    expect(correctMesh(box(0.08, 10, 5), { ...NOTHING, edgeMm: 0.05 }).crossedFacets).toBeGreaterThan(0);
  });

  test('with measuring, features are found again and lost ones named', () => {
    const part = box(10, 20, 5);
    const { sizes, notFound } = correctAndMeasure(part, { by: { ...NOTHING, edgeMm: 0.05 } }, [
      { id: 1, kind: WIDTH_X, anchorMm: [5, 2, 2] },
      { id: 2, kind: SLOT_X, anchorMm: [40, 0, 2] },
    ]);
    expect(sizes).toHaveLength(1);
    expect(sizes[0].beforeMm).toBeCloseTo(10, 9);
    expect(sizes[0].afterMm).toBeCloseTo(9.9, 9);
    expect(notFound.map(({ id, issue }) => [id, issue.code])).toEqual([[2, 'nothingThere']]);
  });

  test('a pitch needs two places', () => {
    expect(measureFeature(box(1, 1, 1), { sense: 'pitch', shape: 'flat', axis: 'X' }, [0, 0, 0])).toEqual({
      ok: false,
      issue: { code: 'pitchNeedsTwoPlaces' },
    });
  });
});

describe('faces that cross', () => {
  test('touching, sharing a corner or lying side by side is no crossing; a rod through a plate is', () => {
    expect(findCrossings(box(10, 10, 4))).toEqual([]);
    expect(findCrossings(joined(box(10, 10, 4), moved(box(10, 10, 4), [10, 0, 0])))).toEqual([]);
    expect(findCrossings(joined(box(10, 10, 4), moved(box(10, 10, 4), [0, 0, 4])))).toEqual([]);
    const pierced = joined(box(10, 10, 2), moved(box(3, 3, 8), [0.3, 0.2, -3]));
    expect(findCrossings(pierced).length).toBeGreaterThan(3);
  });

  test('agrees with every pair held against every other, on blocks strewn about', () => {
    const random = seededRandom(3);
    const at = () => 12 * (random.uniform() - 0.5);
    const heap = Array.from({ length: 12 }, () => moved(box(4, 5, 3), [at(), at(), at()], at())).reduce(
      joined,
    );
    const count = heap.facets.length / 3;
    const pairs: string[] = [];
    for (let a = 0; a < count; a++)
      for (let b = a + 1; b < count; b++) {
        const only: Mesh = {
          positions: heap.positions,
          facets: Uint32Array.from([
            ...heap.facets.subarray(3 * a, 3 * a + 3),
            ...heap.facets.subarray(3 * b, 3 * b + 3),
          ]),
        };
        if (findCrossings(only).length > 0) pairs.push(`${a},${b}`);
      }
    expect(pairs.length).toBeGreaterThan(10);
    expect(
      findCrossings(heap)
        .map((pair) => pair.join())
        .sort(),
    ).toEqual(pairs.sort());
  });

  test('bodies that grow into one another cross, though no facet turns over; what crossed before does not count', () => {
    // Two walls 0.06 apart, corrected outwards by 0.05 each: their faces pass one another.
    const near = joined(box(10, 10, 5), moved(box(4, 14, 3), [7.06, 0, 1]));
    const grown = correctMesh(near, { ...NOTHING, edgeMm: -0.05 });
    expect(grown.crossedFacets).toBeGreaterThan(0);
    expect(correctMesh(near, { ...NOTHING, edgeMm: -0.02 }).crossedFacets).toBe(0);
    const crossing = joined(box(10, 10, 2), moved(box(3, 3, 8), [0.3, 0.2, -3]));
    expect(correctMesh(crossing, { ...NOTHING, edgeMm: 0.01 }).crossedFacets).toBe(0);
  });
});

test('on supports the lowest face hangs: it is raised, not squashed, and the height asked says so', () => {
  const by = { ...NOTHING, zPlateMm: -0.08, zSupportedMm: 0.1 };
  const plate = correctAndProve(box(10, 10, 5), { by });
  const lifted = correctAndProve(box(10, 10, 5), { by, onPlate: false });
  const height = ({ mesh }: { mesh: Mesh }) => checkMesh(mesh).bounds.max[2] - checkMesh(mesh).bounds.min[2];
  expect(height(plate)).toBeCloseTo(5.08, 9);
  expect(height(lifted)).toBeCloseTo(4.9, 9);
  const proof = lifted.proofs.find(({ feature }) => feature.sort === 'height')!;
  expect(proof.askedMm).toBeCloseTo(4.9, 9);
  expect(proof.afterMm).toBeCloseTo(4.9, 9);
});
