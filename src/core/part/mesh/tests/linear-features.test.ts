import { describe, expect, test } from '@jest/globals';
import { ROUND_SOLIDS } from '@/testing/round-solids';
import { findFeatures, type Mesh } from '../index';

/** How often a coordinate is looked at while the features of a mesh are found. */
function looksAt(mesh: Mesh): number {
  let looks = 0;
  const positions = new Proxy(mesh.positions, {
    get(target, key) {
      looks++;
      const value = Reflect.get(target, key, target) as unknown;
      return typeof value === 'function' ? value.bind(target) : value;
    },
  });
  findFeatures({ positions, facets: mesh.facets });
  return looks;
}

describe('looking for features takes work in proportion to the facets', () => {
  test.each(Object.entries(ROUND_SOLIDS))('%s: twice the facets, about twice the looks', (_name, build) => {
    const [once, twice] = [1500, 3000].map((facets) => {
      const mesh = build(facets);
      return looksAt(mesh) / (mesh.facets.length / 3);
    });
    // Looks per facet: a band grown again from every seed doubles them.
    expect(twice / once).toBeLessThan(1.4);
  });
});

test('a rod with wide strips on one side and very narrow ones on the other is one shaft of its diameter', () => {
  const shafts = findFeatures(ROUND_SOLIDS['refined rod'](2000)).filter(({ sort }) => sort === 'shaft');
  expect(shafts).toHaveLength(1);
  expect(shafts[0].nominalMm).toBeCloseTo(16, 6);
});

test('a thousand strips of fillets that are no round feature yield none, and the widths between them', () => {
  const found = findFeatures(ROUND_SOLIDS['rounded block'](4000));
  expect(found.filter(({ kind }) => kind.shape === 'round')).toEqual([]);
  expect(found.filter(({ sort }) => sort === 'width').map(({ nominalMm }) => nominalMm)).toEqual([30, 30]);
});
