import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { asDiameter, estimateBody, type PlacedReading } from '../index';

const CALIPER = { mpeMm: 0.02, resolutionMm: 0.01 };
const at = (mm: number, level: number, turn: number): PlacedReading => ({ mm, level, turn });

test('radius, diameter and circumference are always one size', () => {
  expect(asDiameter(asDiameter(5, 'radius'), 'diameter')).toBe(10);
  expect(asDiameter(Math.PI * 10, 'circumference')).toBeCloseTo(10, 12);
});

test('a round body read alike everywhere takes the mean', () => {
  const round = estimateBody(
    [at(15.91, 0, 0), at(15.92, 0, 1), at(15.91, 1, 0), at(15.9, 1, 1)],
    'inside',
    CALIPER,
  );
  expect(round.sizeMm).toBeCloseTo(15.91, 9);
  expect(round.decidedBy).toBe('mean');
  expect(round.notes).toEqual([]);
});

test('out of round by more than U, the smallest place of a bore decides and the largest of a shaft', () => {
  const readings = [at(15.8, 0, 0), at(15.92, 0, 1), at(15.81, 1, 0), at(15.92, 1, 1)];
  const bore = estimateBody(readings, 'inside', CALIPER);
  expect(bore.sizeMm).toBe(15.8);
  expect(bore.decidedBy).toBe('limit');
  expect(bore.notes).toEqual([{ code: 'outOfRound', byMm: expect.closeTo(0.12, 9) }]);
  expect(estimateBody(readings, 'outside', CALIPER).sizeMm).toBe(15.92);
});

test('a seat that tapers along its depth is told apart from one out of round', () => {
  const { notes } = estimateBody(
    [at(10, 0, 0), at(10, 0, 1), at(10.1, 1, 0), at(10.1, 1, 1)],
    'outside',
    CALIPER,
  );
  expect(notes).toEqual([{ code: 'tapers', byMm: expect.closeTo(0.1, 9) }]);
});

test('readings further apart than ten limits of error are questioned, not averaged away in silence', () => {
  const { notes } = estimateBody([at(15.91, 0, 0), at(19.51, 0, 0)], 'inside', CALIPER);
  expect(notes).toContainEqual({ code: 'disagree', lowMm: 15.91, highMm: 19.51, mpeMm: 0.02 });
});

test('the limit of error is in every u, and repeats never take it away', () => {
  const many = Array.from({ length: 50 }, () => at(10, 0, 0));
  expect(estimateBody(many, 'outside', CALIPER).u_mm).toBeGreaterThan(0.02 / Math.sqrt(3));
  expect(estimateBody([at(10, 0, 0)], 'outside', CALIPER).notes).toEqual([{ code: 'readOnce' }]);
});

test('the order of readings does not matter', () => {
  const readings = [at(9.99, 0, 0), at(10.04, 0, 1), at(10.01, 1, 0), at(10.11, 1, 1)];
  fc.assert(
    fc.property(fc.shuffledSubarray(readings, { minLength: 4 }), (shuffled) => {
      const [one, other] = [readings, shuffled].map((each) => estimateBody(each, 'inside', CALIPER));
      expect(other.sizeMm).toBe(one.sizeMm);
      expect(other.u_mm).toBeCloseTo(one.u_mm, 12);
    }),
  );
});

test('a body that is form and no noise is limited by one of its own places, never by a size nobody read', () => {
  const place = fc.record({
    mm: fc.integer({ min: 900, max: 1100 }).map((hundredths) => hundredths / 100),
    level: fc.integer({ min: 0, max: 2 }),
    turn: fc.integer({ min: 0, max: 3 }),
  });
  fc.assert(
    fc.property(fc.array(place, { minLength: 1, maxLength: 12 }), (readings) => {
      const [hole, shaft] = [
        estimateBody(readings, 'inside', CALIPER),
        estimateBody(readings, 'outside', CALIPER),
      ];
      expect(hole.sizeMm).toBeLessThanOrEqual(hole.meanMm + 1e-9);
      expect(shaft.sizeMm).toBeGreaterThanOrEqual(shaft.meanMm - 1e-9);
      expect(hole.sizeMm).toBeGreaterThanOrEqual(hole.lowMm - 1e-9);
      expect(shaft.sizeMm).toBeLessThanOrEqual(shaft.highMm + 1e-9);
      expect(hole.u_mm).toBeGreaterThan(CALIPER.mpeMm / Math.sqrt(3) - 1e-9);
    }),
    { seed: 9, numRuns: 200 },
  );
});

test('a distance between centres has no tight side: its mean counts, whatever the form', () => {
  const far = [at(20.0, 0, 0), at(20.2, 0, 1)];
  expect(estimateBody(far, 'pitch', CALIPER)).toMatchObject({ decidedBy: 'mean', sizeMm: 20.1 });
});
