import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FeatureKind } from '@/core/measure';
import {
  driftRow,
  estimateSignature,
  groupObservations,
  lawPrior,
  predictSize,
  rankNextReadings,
  reachesBeyond,
  type SignatureReading,
} from '../index';
import { mixtureMoments } from '@/core/kit/numerics';

const WIDTH: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
const INSTRUMENTS = { '': { mpeMm: 0.02, resolutionMm: 0.01 }, fine: { mpeMm: 0.005, resolutionMm: 0.001 } };
const reading = (readingMm: number, rest: Partial<SignatureReading> = {}): SignatureReading => ({
  ...WIDTH,
  feature: 'w',
  print: 'P1',
  drawnMm: 10,
  readingMm,
  ...rest,
});

describe('readings grouped to observations', () => {
  test('repeats of one feature in one print with one caliper are one observation', () => {
    const [first, ...others] = groupObservations([reading(10.01), reading(10.03)], INSTRUMENTS);
    expect(others).toEqual([]);
    expect(first.sizeMm).toBeCloseTo(10.02, 12);
    expect(first.readings).toHaveLength(2);
    // s = 0.01414, so u² = s²/2 + 0.01²/12
    expect(first.u_mm).toBeCloseTo(Math.sqrt(1e-4 + 1e-4 / 12), 9);
  });

  test('another print and another caliper are observations of their own, each with its jaw', () => {
    const groups = groupObservations(
      [reading(10), reading(10, { print: 'P2' }), reading(10, { instrument: 'fine' })],
      INSTRUMENTS,
    );
    expect(groups.map(({ print, instrument }) => [print, instrument])).toEqual([
      ['P1', ''],
      ['P2', ''],
      ['P1', 'fine'],
    ]);
    expect(groups.map(({ jaw }) => jaw)).toEqual(['outside', 'outside', 'outside']);
  });

  test('a pitch carries no jaw', () => {
    expect(groupObservations([reading(10, { sense: 'pitch' })], INSTRUMENTS)[0].jaw).toBeUndefined();
  });

  test('no reading, no observation', () => {
    expect(groupObservations([], INSTRUMENTS)).toEqual([]);
  });
});

describe('instruments', () => {
  const offset = (instrument: string) =>
    [4, 9, 15, 22].map((drawnMm, i) => reading(drawnMm + 0.08, { drawnMm, feature: `w${i}`, instrument }));

  test('a finer caliper pins the edges better', () => {
    const sdOf = (instrument: string) =>
      estimateSignature(offset(instrument), { instruments: INSTRUMENTS }).parameters[4].sd;
    expect(sdOf('fine')).toBeLessThan(sdOf(''));
  });

  test('two calipers that disagree share the blame in proportion to their limits of error', () => {
    const readings = [
      ...offset('fine'),
      ...offset('').map((each) => ({ ...each, readingMm: each.readingMm + 0.02 })),
    ];
    const { biases } = estimateSignature(readings, { instruments: INSTRUMENTS });
    const coarse = biases.find(({ instrument }) => instrument === '')!;
    const fine = biases.find(({ instrument }) => instrument === 'fine')!;
    expect(coarse.meanMm).toBeGreaterThan(0.01);
    expect(Math.abs(fine.meanMm)).toBeLessThan(coarse.meanMm / 5);
  });
});

describe('drift of a print', () => {
  test('acts on edges and scale in the plane, not along Z', () => {
    expect(driftRow(WIDTH, 20)).toEqual({ edge: 2, scale: 20 });
    expect(driftRow({ ...WIDTH, sense: 'inside' }, 20)).toEqual({ edge: -2, scale: 20 });
    expect(driftRow({ sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' }, 20)).toEqual({
      edge: 0,
      scale: 0,
    });
  });

  test('a print to come is less sure than the one just read', () => {
    const signature = estimateSignature([reading(10.05), reading(10.06)], { instruments: INSTRUMENTS });
    const sdOf = (print?: string) =>
      mixtureMoments(predictSize(signature, { kind: WIDTH, drawnMm: 10, feature: 'w', print })).sd;
    expect(sdOf(undefined)).toBeGreaterThan(sdOf('P1'));
  });
});

test('ε_X and ε_Y of the prior lean together, and unknown jaw flats widen c alone', () => {
  const { covariance } = lawPrior();
  expect(covariance[1]).toBeGreaterThan(0.8 * covariance[0]);
  const open = lawPrior({ jawFlatsUnknown: true }).covariance;
  expect(Math.sqrt(open[6 * 11 + 6])).toBeCloseTo(0.06, 12);
  expect(open[4 * 11 + 4]).toBeCloseTo(covariance[4 * 11 + 4], 15);
});

test('reaching beyond begins past 1.5 × the longest size, and never without a reading', () => {
  const signature = estimateSignature([reading(10.05)], { instruments: INSTRUMENTS });
  expect([reachesBeyond(signature, 15), reachesBeyond(signature, 15.1)]).toEqual([false, true]);
  expect(reachesBeyond(estimateSignature([], { instruments: INSTRUMENTS }), 500)).toBe(false);
});

test('no reading that could be taken promises to make things worse, and none more than there is', () => {
  const signature = estimateSignature([reading(10.05), reading(20.03, { drawnMm: 20, feature: 'v' })], {
    instruments: INSTRUMENTS,
  });
  const targets = [
    { feature: 'w', kind: WIDTH, targetMm: 10, lowerDeviationMm: -0.05, upperDeviationMm: 0.05 },
  ];
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 60, noNaN: true }),
      fc.double({ min: 0.001, max: 0.05, noNaN: true }),
      (drawnMm, u_mm) => {
        const [gain] = rankNextReadings(signature, targets, [
          { feature: 'new', kind: WIDTH, drawnMm, print: 'P1', u_mm },
        ]);
        expect(gain.after).toBeLessThanOrEqual(gain.before + 1e-15);
        expect(gain.after).toBeGreaterThan(0);
      },
    ),
    { seed: 13, numRuns: 60 },
  );
});
