import { describe, expect, test } from '@jest/globals';
import Module from 'manifold-3d';
import { seededRandom } from '@/core/kit/numerics';
import { checkMesh, weldCorners, type Mesh } from '@/core/part/mesh';
import { box, moved } from '@/testing/meshes';
import { middleOfLayer } from '../layer-plan';
import { peaksOf, sweepLayers } from '../sweep';

const kernel = await Module();
kernel.setup();
type Manifold = ReturnType<typeof kernel.Manifold.cube>;

function meshOf(solid: Manifold): Mesh {
  const { numProp, vertProperties, triVerts } = solid.getMesh();
  const corners = [...triVerts].flatMap((vertex) => [
    ...vertProperties.slice(numProp * vertex, numProp * vertex + 3),
  ]);
  return weldCorners(corners);
}

const sum = (values: Float64Array) => values.reduce((total, value) => total + value, 0);

/** Some random blocks, cylinders and balls, joined, cut and turned as they come. */
function randomSolid(seed: number): Manifold {
  const random = seededRandom(seed);
  const some = (low: number, high: number) => low + (high - low) * random.uniform();
  const piece = () => {
    const kind = Math.floor(3 * random.uniform());
    const solid =
      kind === 0
        ? kernel.Manifold.cube([some(4, 20), some(4, 20), some(4, 20)], true)
        : kind === 1
          ? kernel.Manifold.cylinder(some(4, 20), some(2, 9), some(1, 9), 40, true)
          : kernel.Manifold.sphere(some(3, 10), 40);
    return solid
      .rotate([some(0, 90), some(0, 90), some(0, 90)])
      .translate([some(-6, 6), some(-6, 6), some(-6, 6)]);
  };
  return piece().add(piece()).add(piece()).subtract(piece());
}

describe('layers of a part', () => {
  test('a box has its own area and outline in every layer', () => {
    const { count, areaMm2, perimeterMm } = sweepLayers(box(10, 20, 5), { heightMm: 0.1 });
    expect(count).toBe(50);
    for (const area of areaMm2) expect(area).toBeCloseTo(200, 9);
    for (const length of perimeterMm) expect(length).toBeCloseTo(60, 9);
  });
  test('a cone on its tip: the first layer is a point, the last the largest', () => {
    const cone = meshOf(kernel.Manifold.cylinder(10, 0.001, 5, 64));
    const sweep = sweepLayers(cone, { heightMm: 0.1 });
    const { peak, firstMm2 } = peaksOf(sweep);
    expect(peak.layer).toBe(99);
    expect(firstMm2).toBeLessThan(0.01);
    expect(sum(sweep.areaMm2) * 0.1).toBeCloseTo(checkMesh(cone).volumeMm3, 0);
  });
  test('the jump is where a plate sits on a stem', () => {
    const table = kernel.Manifold.cube([4, 4, 10]).add(
      kernel.Manifold.cube([20, 20, 2]).translate([0, 0, 10]),
    );
    const { jump, peak } = peaksOf(sweepLayers(meshOf(table), { heightMm: 0.5 }));
    expect(jump).toEqual({ layer: 20, deltaMm2: expect.closeTo(400 - 16, 6) });
    expect(peak.areaMm2).toBeCloseTo(400, 6);
  });
  test('the height of a layer is that of its middle', () => {
    const sweep = sweepLayers(moved(box(1, 1, 5), [0, 0, 3]), { heightMm: 0.1 });
    expect(middleOfLayer(sweep, 10)).toBeCloseTo(4.05, 9);
  });
  test('a plane through corners and edges loses nothing', () => {
    // Layers of 1 mm with middles at the corners of a box turned on its edge.
    const turned = meshOf(kernel.Manifold.cube([4, 4, 4], true).rotate([45, 0, 0]));
    for (const heightMm of [Math.SQRT2, 2 * Math.SQRT2, 0.5 * Math.SQRT2]) {
      const { areaMm2 } = sweepLayers(turned, { heightMm });
      for (const area of areaMm2) expect(area).toBeGreaterThan(0);
    }
  });
});

describe('against a general solid kernel', () => {
  test('areas agree with its slices on random solids, and their sum with the volume', () => {
    for (let seed = 1; seed <= 25; seed++) {
      const solid = randomSolid(seed);
      const mesh = meshOf(solid);
      const sweep = sweepLayers(mesh, { heightMm: 0.2 });
      for (let layer = 0; layer < sweep.count; layer += 7) {
        const area = solid.slice(middleOfLayer(sweep, layer)).area();
        expect(Math.abs(sweep.areaMm2[layer] - area)).toBeLessThan(1e-3 * Math.max(1, area));
      }
      const volume = sum(sweep.areaMm2) * 0.2;
      expect(Math.abs(volume / solid.volume() - 1)).toBeLessThan(0.01);
    }
  });
  test('turning and shifting in the plane changes no area and no outline', () => {
    const mesh = meshOf(randomSolid(4));
    const before = sweepLayers(mesh, { heightMm: 0.2 });
    const after = sweepLayers(moved(mesh, [31, -7, 0], (37 * Math.PI) / 180), { heightMm: 0.2 });
    before.areaMm2.forEach((area, i) => expect(after.areaMm2[i]).toBeCloseTo(area, 6));
    before.perimeterMm.forEach((length, i) => expect(after.perimeterMm[i]).toBeCloseTo(length, 6));
  });
  test('a kilometre from the origin the area stays', () => {
    const mesh = box(10, 20, 5);
    const { areaMm2 } = sweepLayers(moved(mesh, [1e6, 1e6, 0]), { heightMm: 0.5 });
    for (const area of areaMm2) expect(area).toBeCloseTo(200, 6);
  });
});

test('no facets, no height and too many layers are mistakes of the caller', () => {
  const nothing: Mesh = { positions: new Float64Array(0), facets: new Uint32Array(0) };
  expect(() => sweepLayers(nothing)).toThrow(RangeError);
  expect(() => sweepLayers(box(1, 1, 1), { heightMm: 0 })).toThrow(RangeError);
  expect(() => sweepLayers(box(1, 1, 1000), { heightMm: 0.001 })).toThrow(RangeError);
});
