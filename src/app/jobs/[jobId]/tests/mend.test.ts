import { expect, test } from '@jest/globals';
import { estimateSize, type Verdict } from '@/core/metrology';
import { describeMend } from '../need/describe-mend';

const size = estimateSize([20.2, 20.2, 20.21], {
  instrument: { mpeMm: 0.02, resolutionMm: 0.01 },
  temperatureU_K: 0,
});
const out: Verdict = { kind: 'out', side: 'over', byMm: 0.12, rule: 'guarded' };
const inside: Verdict = { kind: 'in', rule: 'guarded' };

test('what a mend changed is said with size and verdict, before and after', () => {
  const said = describeMend('Width', { before: { size, verdict: out }, after: { size, verdict: inside } });
  expect(said).toBe('Width mended. It was 20.203 mm, out, 0.12 over; it is now 20.203 mm, in.');
});

test('a mend that changes no verdict says so', () => {
  expect(describeMend('Width', { before: { size, verdict: inside }, after: { size, verdict: inside } })).toBe(
    'Width mended; its verdict stays: 20.203 mm, in.',
  );
});

test('before any reading there is nothing to compare', () => {
  expect(describeMend('Width', {})).toBe('Width mended.');
  expect(describeMend('Width', { after: { size, verdict: inside } })).toBe(
    'Width mended. It now reads 20.203 mm, in.',
  );
});
