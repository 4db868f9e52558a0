import { expect, test } from '@jest/globals';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { readMesh, weldCorners } from '@/core/part/mesh';
import { boxFiles, mutate } from '@/testing/mesh-files';
import { wholeCheck } from '@/testing/whole-check';

const COPIES = 60;

test.each(boxFiles())(
  `${COPIES} damaged copies of %s go through the whole check where they can be read`,
  (name, bytes) => {
    const random = seededRandom(seedFrom(411, name));
    for (let i = 0; i < COPIES; i++) {
      const soup = readMesh(mutate(bytes, random), name);
      if (!soup.ok) continue;
      const { reading, findings, features, mend } = wholeCheck(weldCorners(soup.value.corners));
      const numbers = [
        ...reading.areaMm2,
        ...reading.overhangMm2,
        ...reading.islands.flatMap(({ atMm }) => [...atMm]),
        ...reading.cups.flatMap(({ volumeMm3, ventMm }) => [volumeMm3, ...ventMm]),
        ...findings.map(({ costHours }) => costHours),
        ...features.map(({ nominalMm }) => nominalMm),
      ];
      expect(numbers.filter((value) => !Number.isFinite(value))).toEqual([]);
      expect(mend?.after.degenerateFacets ?? 0).toBe(0);
    }
  },
);
