import { expect, test } from '@jest/globals';
import type { FeatureKind } from '@/core/measure';
import { seededRandom } from '@/core/kit/numerics';
import { chanceOfAllCopies } from '../copies';
import { drawTarget, jointChance } from '../draw';
import { estimateSignature } from '../estimate';
import { latentSizes } from '../predict';

const WIDTH: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
const SLOT: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'Y' };

function learned() {
  const random = seededRandom(7);
  const readings = ['P1', 'P2'].flatMap((print) =>
    [6, 12, 20].flatMap((drawnMm) =>
      [WIDTH, SLOT].map((kind) => ({
        ...kind,
        feature: `${kind.sense} ${drawnMm}`,
        print,
        drawnMm,
        readingMm: drawnMm + (kind === WIDTH ? 0.05 : -0.06) + 0.01 * (random.uniform() - 0.5),
      })),
    ),
  );
  return estimateSignature(readings, { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } });
}

const signature = learned();
const limits = { lowerDeviationMm: -0.06, upperDeviationMm: 0.06 };
const targets = [
  { feature: 'inside 12', kind: SLOT, targetMm: 12, ...limits },
  { feature: 'a', kind: WIDTH, targetMm: 15, ...limits },
  { feature: 'b', kind: SLOT, targetMm: 9, ...limits },
];
const drawn = targets.map((target) => ({ target, drawMm: drawTarget(signature, target).drawMm }));

test('one copy is the joint chance', () => {
  expect(chanceOfAllCopies(signature, drawn, 1)).toBe(jointChance(signature, drawn));
});

test('copies fail together: all are right more often than by the power, less often than one', () => {
  const one = jointChance(signature, drawn);
  let before = one;
  for (const copies of [2, 4, 16]) {
    const all = chanceOfAllCopies(signature, drawn, copies);
    expect(all).toBeLessThan(before);
    expect(all).toBeGreaterThan(one ** copies);
    before = all;
  }
});

test('agrees with copies drawn at random from the same model', () => {
  const random = seededRandom(11);
  const { nodes, weights } = signature.posterior;
  // One feature never printed: its repeatable deviation and the law are shared, chance and drift are each copy's own.
  const { target, drawMm } = drawn[1];
  const all = chanceOfAllCopies(signature, [{ target, drawMm }], 3);
  const one = chanceOfAllCopies(signature, [{ target, drawMm }], 1);
  const sizes = latentSizes(signature, { kind: WIDTH, feature: 'a', drawnMm: drawMm });
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  // Splitting the variance by hand: what is left of a print's spread once its own part is taken off is shared.
  const trials = Array.from({ length: 60_000 }, () => {
    let pick = random.uniform();
    const node = Math.max(
      0,
      [...weights].findIndex((weight) => (pick -= weight) < 0),
    );
    const size = sizes[node];
    const own = nodes[node].tauP ** 2;
    const drift = (2 * 0.008) ** 2 + (15 * 0.0004) ** 2;
    const shared = Math.sqrt(size.variance - own - drift) * random.normal();
    const copy = () =>
      drawMm +
      size.offsetMm +
      shared +
      Math.sqrt(own) * random.normal() +
      2 * 0.008 * random.normal() +
      15 * 0.0004 * random.normal();
    const isIn = () => Math.abs(copy() - target.targetMm) <= 0.06;
    return [isIn() && isIn() && isIn() ? 1 : 0, isIn() ? 1 : 0] as const;
  });
  expect(mean(trials.map(([three]) => three))).toBeCloseTo(all, 1.7);
  expect(mean(trials.map(([, single]) => single))).toBeCloseTo(one, 1.7);
});
