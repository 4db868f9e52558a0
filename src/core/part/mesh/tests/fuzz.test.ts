import { expect, test } from '@jest/globals';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { boxFiles, mutate } from '@/testing/mesh-files';
import { checkMesh } from '../check';
import { readMesh } from '../read-mesh';
import { weldCorners } from '../weld';

test.each(boxFiles())('%s is a closed box before anything happens to it', (name, bytes) => {
  const read = readMesh(bytes, name);
  expect(read.ok && checkMesh(weldCorners(read.value.corners))).toMatchObject({
    watertight: true,
    facets: 12,
  });
});

test.each(boxFiles())('300 damaged copies of %s are read or refused, never worse', (name, bytes) => {
  const random = seededRandom(seedFrom(2026, name));
  for (let i = 0; i < 300; i++) {
    const read = readMesh(mutate(bytes, random), name);
    if (!read.ok) {
      expect(read.issue.code).toMatch(/^[a-zA-Z]+$/);
      continue;
    }
    expect(read.value.corners.length % 9).toBe(0);
    expect(read.value.corners.every(Number.isFinite)).toBe(true);
    checkMesh(weldCorners(read.value.corners));
  }
});
