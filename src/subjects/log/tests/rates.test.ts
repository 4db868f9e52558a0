import { expect, test } from '@jest/globals';
import { emptyBench } from '@/testing/bench';
import { describeGroup } from '../shared';
import { type RatedRun, ratesOfRuns } from '../view-rates';

const RUN: RatedRun = { id: 1, isGood: true, profile: 'Slate, 50 µm', resin: 'Slate', heightMm: 8 };

test('rates by what the runs differ in; two are told apart only where hardly anything speaks against it', () => {
  const runs = (low: number, tall: number): RatedRun[] =>
    Array.from({ length: 24 }, (_, i) => ({
      ...RUN,
      id: i,
      heightMm: i < 12 ? 8 : 60,
      isGood: i < 12 ? i < low : i - 12 < tall,
    }));
  const [group, ...others] = ratesOfRuns(emptyBench(), runs(12, 3));
  expect(others).toEqual([]);
  expect(group).toMatchObject({ by: 'height', differ: ['low', 'tall'] });
  expect(group.rates.map(({ name, k, n }) => [name, k, n])).toEqual([
    ['low', 12, 12],
    ['tall', 3, 12],
  ]);
  // Drawn towards each other: twelve of twelve are not 100 %.
  expect(group.rates[0].pooled).toBeLessThan(0.99);
  expect(group.rates[1].pooled).toBeGreaterThan(0.25);
  expect(describeGroup(group.by, group.rates[0].name)).toBe('up to 10 mm');
  expect(ratesOfRuns(emptyBench(), runs(11, 10))[0].differ).toBeUndefined();
  expect(ratesOfRuns(emptyBench(), [RUN])).toEqual([]);
});
