import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { loadSignatureCase } from '@/testing/reference';
import type { FeatureKind } from '@/core/metrology';
import { seededRandom } from '@/core/numerics';
import { dataOf } from '../estimate';
import { lawPrior } from '../law';
import { assembleModel, latentEntries, rowOfObservation } from '../model';
import { latentSize, solveNode } from '../node';
import { groupObservations } from '../observations';
import type { SignatureReading } from '../reading';
import { plainPrediction } from '@/testing/plain-model';

const KINDS: readonly FeatureKind[] = [
  { sense: 'outside', shape: 'flat', axis: 'X' },
  { sense: 'inside', shape: 'flat', axis: 'Y' },
  { sense: 'inside', shape: 'round', axis: 'XY' },
  { sense: 'outside', shape: 'flat', axis: 'Z', base: 'supported' },
  { sense: 'pitch', shape: 'flat', axis: 'XY', angleRad: 0.7 },
];
const MPE_MM = 0.02;
const INSTRUMENTS = { '': { mpeMm: MPE_MM, resolutionMm: 0.01 } };

/** Readings of `features` features in up to three prints, some read twice. */
function someReadings(features: number, seed: number): SignatureReading[] {
  const random = seededRandom(seed);
  return Array.from({ length: features }, (_, i) => {
    const drawnMm = 2 + 30 * random.uniform();
    const prints = 1 + Math.floor(3 * random.uniform());
    return Array.from({ length: prints }, (_, print) =>
      Array.from({ length: 1 + Math.floor(2 * random.uniform()) }, () => ({
        ...KINDS[i % KINDS.length],
        feature: `f${i}`,
        print: `P${print}`,
        drawnMm,
        readingMm: drawnMm + 0.1 * random.normal(),
      })),
    ).flat();
  }).flat();
}

/** The same question asked of the blocked solver. */
function fastPrediction(
  readings: readonly SignatureReading[],
  feature: string,
  print: string,
  scatter: { tauB: number; tauP: number },
) {
  const observations = groupObservations(readings, INSTRUMENTS);
  const model = assembleModel(observations.map(rowOfObservation), lawPrior(), INSTRUMENTS);
  const data = dataOf(model, observations);
  const node = solveNode(model, data, scatter);
  const { kind, drawnMm } = observations.find((each) => each.feature === feature)!;
  const query = {
    ...latentEntries(model, { print, kind, drawnMm }),
    feature: model.features.indexOf(feature),
    print: model.prints.indexOf(print),
  };
  const { offsetMm, variance } = latentSize(model, data, node, query);
  return {
    observations,
    kind,
    drawnMm,
    meanMm: drawnMm + offsetMm,
    variance,
    logLikelihood: node.logLikelihood,
  };
}

test('the blocked solver gives what one dense Gaussian gives', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 1e6 }),
      fc.double({ min: 0.003, max: 0.1, noNaN: true }),
      fc.double({ min: 0.002, max: 0.08, noNaN: true }),
      (features, seed, tauB, tauP) => {
        const readings = someReadings(features, seed);
        for (const print of ['P0', 'P1']) {
          const made = readings.some((reading) => reading.print === print);
          if (!made) continue;
          const fast = fastPrediction(readings, 'f0', print, { tauB, tauP });
          const { observations, kind, drawnMm } = fast;
          const plain = plainPrediction(
            observations,
            { feature: 'f0', print, kind, drawnMm },
            { tauB, tauP },
            MPE_MM,
          );
          expect(fast.meanMm).toBeCloseTo(plain.meanMm, 7);
          expect(fast.variance).toBeCloseTo(plain.variance, 9);
        }
      },
    ),
    { seed: 7, numRuns: 40 },
  );
});

test('the reference’s first print is predicted the same both ways', () => {
  const { readings } = loadSignatureCase(11);
  const { feature, print } = readings[0];
  const scatter = { tauB: 0.015, tauP: 0.009 };
  const fast = fastPrediction(readings, feature, print, scatter);
  const plain = plainPrediction(
    fast.observations,
    { feature, print, kind: fast.kind, drawnMm: fast.drawnMm },
    scatter,
    MPE_MM,
  );
  expect(fast.meanMm).toBeCloseTo(plain.meanMm, 8);
  expect(fast.variance).toBeCloseTo(plain.variance, 10);
});
