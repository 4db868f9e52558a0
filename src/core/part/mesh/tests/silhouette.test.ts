import { expect, test } from '@jest/globals';
import { loadTestKernel } from '@/testing/kernel';
import { box, joined, moved } from '@/testing/meshes';
import { seatedMesh } from '@/testing/printed-solids';
import { silhouetteOf, VIEWS } from '../silhouette';

const area = (points: Float64Array) => {
  let twice = 0;
  for (let i = 0; i < points.length; i += 2) {
    const [x, y, u, v] = [
      points[i],
      points[i + 1],
      points[(i + 2) % points.length],
      points[(i + 3) % points.length],
    ];
    twice += x * v - u * y;
  }
  return twice / 2;
};

test('a box shows its three faces at their size, none of them mirrored', () => {
  const sizes = { top: [10, 6], front: [10, 3], side: [6, 3] } as const;
  for (const view of VIEWS) {
    const { sections, min, max } = silhouetteOf(box(10, 6, 3), view);
    expect([max[0] - min[0], max[1] - min[1]]).toEqual([...sizes[view]]);
    expect(sections).toHaveLength(1);
    expect(area(sections[0][0])).toBeCloseTo(sizes[view][0] * sizes[view][1], 9);
  }
});

test('a bore through the part is a hole in its view from above, and none from the front', async () => {
  const { Manifold } = await loadTestKernel();
  const ring = seatedMesh(Manifold.cylinder(8, 10, 10, 96).subtract(Manifold.cylinder(8, 4, 4, 96)));
  const loops = silhouetteOf(ring, 'top').sections.flat();
  expect(loops.map((loop) => Math.sign(area(loop))).sort()).toEqual([-1, 1]);
  const { min, max } = silhouetteOf(ring, 'front');
  expect(max[0] - min[0]).toBeCloseTo(20, 6);
  expect(max[1] - min[1]).toBeCloseTo(8, 6);
});

test('a thin flange is cut too: sections lie between the levels of the part', () => {
  const flanged = joined(box(4, 4, 40), moved(box(20, 20, 0.6), [0, 0, 0.2]));
  const widest = Math.max(...silhouetteOf(flanged, 'top').sections.flat().map(area));
  expect(widest).toBeCloseTo(400, 6);
});
