import { expect, test } from '@jest/globals';
import { estimateSize, type Verdict } from '@/core/measure';
import { describeFeatureEffect } from '../words-feature-effect';

const size = estimateSize([20.2, 20.2, 20.21], {
  instrument: { mpeMm: 0.02, resolutionMm: 0.01 },
  warmthU: 0,
});
const out: Verdict = { kind: 'out', side: 'over', byMm: 0.12, rule: 'guarded' };
const inside: Verdict = { kind: 'in', rule: 'guarded' };

test('what a change did is said with size and verdict, before and after', () => {
  const said = describeFeatureEffect('Width', {
    before: { size, verdict: out },
    after: { size, verdict: inside },
  });
  expect(said).toBe('Width changed from 20.203 mm, out, 0.12 over to 20.203 mm, in.');
});

test('a change that changes no verdict says so', () => {
  expect(
    describeFeatureEffect('Width', { before: { size, verdict: inside }, after: { size, verdict: inside } }),
  ).toBe('Width changed. Its verdict is still 20.203 mm, in.');
});

test('before any reading there is nothing to compare', () => {
  expect(describeFeatureEffect('Width', {})).toBe('Width changed.');
  expect(describeFeatureEffect('Width', { after: { size, verdict: inside } })).toBe(
    'Width changed. It now reads 20.203 mm, in.',
  );
});
