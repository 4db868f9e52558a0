import { describe, expect, test } from '@jest/globals';
import type { Manifold } from 'manifold-3d';
import { loadTestKernel } from '@/testing/kernel';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import {
  checkMesh,
  correctAndProve,
  findFeatures,
  readStl,
  weldCorners,
  writeStl,
  type FeatureSort,
  type FoundFeature,
  type PartCorrection,
} from '../index';
import { expectOk } from '@/core/kit';

const kernel = await loadTestKernel();
const { Manifold: Solids } = kernel;
/** A round rod of 64 sides. */
const rod = (diameterMm: number, heightMm: number, [x, y, z]: readonly [number, number, number]) =>
  Solids.cylinder(heightMm, diameterMm / 2, diameterMm / 2, 64).translate([x, y, z]);

/** 40 × 20 × 10 with two bores of 6 through it, a blind one of 4, a slot of 2 and a stud of 8 on top. */
const bracket = Solids.cube([40, 20, 10])
  .subtract(rod(6, 10, [8, 10, 0]))
  .subtract(rod(6, 10, [20, 10, 0]))
  .subtract(rod(4, 6, [30, 10, 4]))
  .subtract(Solids.cube([2, 20, 4]).translate([34, 0, 6]))
  .add(rod(8, 5, [14, 5, 10]));

const sizesOf = (features: readonly FoundFeature[], wanted: FeatureSort) =>
  features
    .filter(({ sort }) => sort === wanted)
    .map(({ nominalMm }) => Math.round(nominalMm * 1e4) / 1e4)
    .sort((a, b) => a - b);
/** Written to a file and read back, in single precision. */
const found = (solid: Manifold) =>
  findFeatures(weldCorners(expectOk(readStl(writeStl(seatedMesh(solid)))).corners));

describe('features of a mesh', () => {
  const features = found(bracket);

  test('bores and studs have the diameter of the true circle within 1 µm, and say what their facets lose', () => {
    expect(sizesOf(features, 'hole')).toEqual([4, 6, 6]);
    expect(sizesOf(features, 'shaft')).toEqual([8]);
    for (const { facetErrorMm, nominalMm, sort } of features) {
      if (sort !== 'hole' && sort !== 'shaft') continue;
      expect(facetErrorMm).toBeCloseTo(nominalMm * (1 - Math.cos(Math.PI / 64)), 4);
    }
  });
  test('faces make widths, slots and heights with what is below them', () => {
    expect(sizesOf(features, 'width')).toEqual([4, 20, 34]);
    expect(sizesOf(features, 'slot')).toEqual([2]);
    expect(sizesOf(features, 'height')).toEqual([4, 6, 10, 10, 15]);
    for (const { sort, kind } of features) if (sort === 'height') expect(kind.base).toBe('plate');
  });
  test('equal bores side by side make a pitch', () => {
    expect(sizesOf(features, 'pitch')).toEqual([12]);
  });
  test('a turn in the plane keeps all sizes and turns their directions', () => {
    const turned = found(bracket.rotate([0, 0, 30]));
    for (const sort of ['hole', 'shaft', 'width', 'slot', 'height', 'pitch'] as const)
      expect(sizesOf(turned, sort)).toEqual(sizesOf(features, sort));
    const slot = turned.find(({ sort }) => sort === 'slot')!;
    expect(slot.kind.axis).toBe('XY');
    expect(slot.kind.angleRad).toBeCloseTo(Math.PI / 6, 5);
  });
  test('a roof over a hollow is supported, its walls are widths', () => {
    const { mouthDown } = printedSolids(kernel);
    const heights = found(mouthDown).filter(({ sort }) => sort === 'height');
    expect(heights.map(({ nominalMm, kind }) => [Math.round(nominalMm), kind.base]).sort()).toEqual([
      [12, 'plate'],
      [2, 'supported'],
    ]);
  });
  test('a lying bore is found with its axis, across which it has no law', () => {
    const lying = found(bracket.rotate([90, 0, 0])).filter(({ sort }) => sort === 'hole');
    expect(lying).toHaveLength(3);
    for (const { direction, kind } of lying) {
      expect(Math.abs(direction[1])).toBeCloseTo(1, 6);
      expect(kind.axis).toBe('X');
    }
  });
  test.each([12, 32, 64, 200])('a ball of %i sides has none', (sides) => {
    expect(found(Solids.sphere(10, sides))).toEqual([]);
  });
  test('a cone and a ring of slanted faces have no round ones', () => {
    const cone = found(Solids.cylinder(10, 0, 5, 64));
    expect(cone.filter(({ kind }) => kind.shape === 'round')).toEqual([]);
  });
});

describe('a correction that proves itself', () => {
  const by: PartCorrection = {
    epsilonX: -0.005,
    epsilonY: -0.005,
    epsilonZ: -0.006,
    skew: 0,
    edgeMm: 0.05,
    insideMm: 0.03,
    roundMm2: 0.2,
    zSupportedMm: 0.1,
    zPlateMm: -0.08,
  };
  const { mesh, proofs } = correctAndProve(seatedMesh(bracket), { by });

  test('holes open by their own growth too: found again within 2 µm of what was asked', () => {
    const bores = proofs.filter(({ feature }) => feature.sort === 'hole');
    expect(bores).toHaveLength(3);
    for (const { feature, askedMm, afterMm } of bores) {
      // (D + 2·(e + h + c/D)) / s
      const { nominalMm } = feature;
      expect(askedMm).toBeCloseTo((nominalMm + 2 * (0.08 + 0.2 / nominalMm)) / 0.995, 9);
      expect(Math.abs(afterMm! - askedMm)).toBeLessThan(0.002);
    }
  });
  test('slots and outer widths as well, and the mesh stays closed', () => {
    const at = (sort: FeatureSort, nominal: number) =>
      proofs.find(({ feature }) => feature.sort === sort && Math.abs(feature.nominalMm - nominal) < 0.01)!;
    for (const [sort, nominal] of [
      ['slot', 2],
      ['width', 20],
      ['pitch', 12],
      ['shaft', 8],
    ] as const) {
      const { askedMm, afterMm } = at(sort, nominal);
      expect(Math.abs(afterMm! - askedMm)).toBeLessThan(0.002);
    }
    expect(checkMesh(mesh).watertight).toBe(true);
  });
});
