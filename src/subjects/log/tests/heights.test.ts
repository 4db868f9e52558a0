import { expect, test } from '@jest/globals';
import { factsOfLayer } from '@/core/log';
import { describeLayerFacts, describeTwin } from '../shared';

// An elephant's foot, a shaft, and a flange that begins at layer 8.
const AREAS = [50, 50, 50, 20, 20, 20, 20, 90, 90, 60];

test('what a layer pulls with, against the others of its plate', () => {
  expect(factsOfLayer(AREAS, 8)).toEqual({
    layer: 8,
    areaMm2: 90,
    gainMm2: 70,
    largerThan: 1,
    gainsMoreThan: 1,
  });
  expect(describeLayerFacts(factsOfLayer(AREAS, 8)!)).toBe(
    'Layer 8: 90 mm², as large as or larger than 100 of 100 layers; 70 mm² more than the layer below',
  );
  expect(describeLayerFacts(factsOfLayer(AREAS, 2)!)).toContain('as large as the layer below');
  expect(describeLayerFacts(factsOfLayer(AREAS, 4)!)).toContain('30 mm² less than the layer below');
  expect(factsOfLayer(AREAS, 11)).toBeUndefined();
  expect(factsOfLayer(AREAS, 0)).toBeUndefined();
});

test('a twin that pulls less speaks for the pull, one that pulls more or alike for the place', () => {
  const of = (layer: number) => factsOfLayer(AREAS, layer)!;
  expect(describeTwin(of(8), of(4))).toContain(
    'The plate pulls less at that height. If the other region printed well, this points to the pull (large layers or a jump in area) as the cause.',
  );
  expect(describeTwin(of(4), of(8))).toContain('pulls even more');
  expect(describeTwin(of(5), of(6))).toContain(
    'The pull is the same at both heights. If the other region printed well, check its supports and that area of the film, not the height.',
  );
});
