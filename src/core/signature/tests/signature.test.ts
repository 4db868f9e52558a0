import { describe, expect, test } from '@jest/globals';
import { mixtureMoments } from '@/core/kit/numerics';
import { loadSignatureCase } from '@/testing/reference';
import type { FeatureKind } from '@/core/measure';
import { seededRandom } from '@/core/kit/numerics';
import {
  assessDrawn,
  drawTarget,
  estimateSignature,
  jointChance,
  lawPrior,
  lawRow,
  leaveOneOut,
  predictSize,
  rankNextReadings,
  snapToLayers,
  type SignatureReading,
  type Target,
} from '../index';
import { climbGrid, normaliseWeights, SCATTER_GRID, walkGrid } from '../scatter-grid';

const OPTIONS = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
const WIDTH: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
const TRUTH = [-0.004, -0.0045, 0.0003, -0.004, 0.045, 0.015, 0.01, 0.08, -0.06, 0, 0];

function readingsOf(sizes: readonly number[], kind: FeatureKind = WIDTH, print = 'P1'): SignatureReading[] {
  const random = seededRandom(9);
  return sizes.flatMap((drawnMm, i) => {
    const offset = lawRow(kind, drawnMm).reduce((sum, entry, j) => sum + entry * TRUTH[j], 0);
    const habit = 0.01 * random.normal();
    return [0, 1, 2].map(() => ({
      ...kind,
      feature: `${kind.sense} ${kind.axis} ${i}`,
      print,
      drawnMm,
      readingMm: Math.round((drawnMm + offset + habit + 0.005 * random.normal()) * 100) / 100,
    }));
  });
}

const target = (targetMm: number, half = 0.1, kind = WIDTH, feature = 'new'): Target => ({
  feature,
  kind,
  targetMm,
  lowerDeviationMm: -half,
  upperDeviationMm: half,
});

describe('law of a process', () => {
  test('an inside edge moves against an outside one, a pitch not at all', () => {
    expect(lawRow(WIDTH, 20)[4]).toBe(2);
    expect(lawRow({ ...WIDTH, sense: 'inside' }, 20)[4]).toBe(-2);
    expect(lawRow({ ...WIDTH, sense: 'pitch' }, 20)[4]).toBe(0);
  });

  test('a round size shares both axes, and a small hole closes more', () => {
    const hole: FeatureKind = { sense: 'inside', shape: 'round', axis: 'XY' };
    expect([...lawRow(hole, 4)]).toEqual([2, 2, 0, 0, -2, -2, -0.5, 0, 0, 0, 0]);
    expect(lawRow(hole, 0.5)[6]).toBe(-2);
  });

  test('at 45° skew enters with half the length, and its sign turns with the diagonal', () => {
    const diagonal = (angleRad: number): FeatureKind => ({
      sense: 'pitch',
      shape: 'flat',
      axis: 'XY',
      angleRad,
    });
    expect(lawRow(diagonal(Math.PI / 4), 30)[2]).toBeCloseTo(15, 12);
    expect(lawRow(diagonal(-Math.PI / 4), 30)[2]).toBeCloseTo(-15, 12);
  });

  test('a gap along Z loses what a roof grows down', () => {
    expect(lawRow({ sense: 'inside', shape: 'flat', axis: 'Z' }, 5)[7]).toBe(-1);
    expect(lawRow({ sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' }, 5)[8]).toBe(1);
  });

  test('a linear shrink from the datasheet moves the prior, and half of it is its doubt when large', () => {
    const { mean, covariance } = lawPrior({ datasheetShrink: 0.02 });
    expect(mean[3]).toBe(-0.02);
    expect(Math.sqrt(covariance[3 * 11 + 3])).toBeCloseTo(0.01, 12);
  });
});

describe('a signature', () => {
  test('without any reading is the prior, and nothing is pinned', () => {
    const signature = estimateSignature([], OPTIONS);
    signature.parameters.forEach(({ mean, priorMean, sd, priorSd, pinned }) => {
      expect(mean).toBeCloseTo(priorMean, 9);
      expect(sd).toBeCloseTo(priorSd, 9);
      expect(pinned).toBe(false);
    });
    // Edges are expected to grow 0.03 each side, shrink 0.3 %: 10 ± is drawn near 10 − 0.06 + 0.03.
    expect(drawTarget(signature, target(10)).drawMm).toBeCloseTo(9.97, 2);
  });

  test('finds the truth behind small and large widths and says what it pinned', () => {
    const signature = estimateSignature(readingsOf([4, 8, 15, 25, 40, 60]), OPTIONS);
    const named = (name: string) => signature.parameters.find((parameter) => parameter.name === name)!;
    expect(Math.abs(named('epsilonX').mean - TRUTH[0])).toBeLessThan(2.5 * named('epsilonX').sd);
    expect(Math.abs(named('edge').mean - TRUTH[4])).toBeLessThan(2.5 * named('edge').sd);
    expect(named('edge').pinned).toBe(true);
    expect(named('insideExtra').pinned).toBe(false);
    expect(named('zPlate').sd).toBeCloseTo(0.08, 6);
  });

  test('more readings never widen what is predicted at the same scatter', () => {
    const few = estimateSignature(readingsOf([4, 25]), OPTIONS);
    const many = estimateSignature(readingsOf([4, 8, 15, 25, 40, 60]), OPTIONS);
    const sdOf = (signature: typeof few) =>
      mixtureMoments(predictSize(signature, { kind: WIDTH, drawnMm: 20 })).sd;
    expect(sdOf(many)).toBeLessThan(sdOf(few));
  });

  test('a feature printed before is predicted better than one never printed', () => {
    const signature = estimateSignature(readingsOf([4, 8, 15, 25]), OPTIONS);
    const own = mixtureMoments(predictSize(signature, { kind: WIDTH, drawnMm: 15, feature: 'outside X 2' }));
    const other = mixtureMoments(predictSize(signature, { kind: WIDTH, drawnMm: 15 }));
    expect(own.sd).toBeLessThan(other.sd);
  });

  test('one shared caliper bias cannot be averaged away by more features', () => {
    const perfect = { instruments: { '': { mpeMm: 1e-6, resolutionMm: 0.01 } } };
    const readings = readingsOf([4, 6, 8, 10, 12, 15, 20, 25, 30, 40]);
    const sdOf = (options: typeof OPTIONS) => estimateSignature(readings, options).parameters[4].sd;
    expect(sdOf(OPTIONS)).toBeGreaterThan(sdOf(perfect));
  });

  test('pixels without anti-aliasing add px/√6 of chance along X, none to a round size', () => {
    const signature = estimateSignature([], OPTIONS);
    const variance = (kind: FeatureKind, pixelMm?: number) =>
      mixtureMoments(predictSize(signature, { kind, drawnMm: 10, pixelMm })).sd ** 2;
    expect(variance(WIDTH, 0.05) - variance(WIDTH)).toBeCloseTo(0.05 ** 2 / 6, 12);
    const shaft: FeatureKind = { sense: 'outside', shape: 'round', axis: 'XY' };
    expect(variance(shaft, 0.05)).toBeCloseTo(variance(shaft), 14);
  });
});

describe('drawing', () => {
  const signature = estimateSignature(readingsOf([4, 8, 15, 25, 40]), OPTIONS);

  test('the predicted mean is the middle of lopsided limits', () => {
    const drawn = drawTarget(signature, { ...target(12), lowerDeviationMm: 0, upperDeviationMm: 0.2 });
    expect(drawn.predictedMm).toBeCloseTo(12.1, 9);
  });

  test('heights come in whole layers and at least one', () => {
    const height: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' };
    expect(snapToLayers(6.24, height, 0.05)).toBeCloseTo(6.25, 12);
    expect(snapToLayers(0.01, height, 0.05)).toBe(0.05);
    expect(snapToLayers(6.24, WIDTH, 0.05)).toBe(6.24);
  });

  test('says when it reaches past what was measured', () => {
    expect(drawTarget(signature, target(55)).reachesBeyond).toBe(false);
    expect(drawTarget(signature, target(70)).reachesBeyond).toBe(true);
  });

  test('drawn elsewhere the chance is smaller', () => {
    const best = drawTarget(signature, target(12));
    expect(assessDrawn(signature, target(12), best.drawMm + 0.08).inTolerance).toBeLessThan(best.inTolerance);
  });

  test('features that share their law are in together more often than if they were strangers', () => {
    const prior = estimateSignature([], OPTIONS);
    const targets = [5, 6, 7, 8].map((size, i) => target(size, 0.1, WIDTH, `w${i}`));
    const drawn = targets.map((each) => ({ target: each, drawMm: drawTarget(prior, each).drawMm }));
    const alone = targets
      .map((each) => drawTarget(prior, each).inTolerance)
      .reduce((product, chance) => product * chance, 1);
    expect(jointChance(prior, drawn)).toBeGreaterThan(alone + 0.02);
    expect(jointChance(prior, [])).toBe(1);
    expect(jointChance(prior, drawn.slice(0, 1))).toBeCloseTo(drawTarget(prior, targets[0]).inTolerance, 9);
  });
});

describe('what to measure next', () => {
  test('the reading that shares most with the job comes first, and every reading helps', () => {
    const signature = estimateSignature(readingsOf([4, 8]), OPTIONS);
    const wish = [target(40, 0.1, WIDTH, 'long')];
    const candidates = [
      { feature: 'large', kind: WIDTH, drawnMm: 50, print: 'P9', u_mm: 0.005 },
      {
        feature: 'height',
        kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' } as FeatureKind,
        drawnMm: 5,
        print: 'P9',
        u_mm: 0.005,
      },
    ];
    const ranked = rankNextReadings(signature, wish, candidates);
    expect(ranked[0].candidate.feature).toBe('large');
    expect(ranked[0].after).toBeLessThan(ranked[0].before);
    // A height informs a width only through the jaws that both are measured with.
    expect(ranked[1].after).toBeLessThan(ranked[1].before);
    expect(ranked[1].after).toBeCloseTo(ranked[1].before, 5);
  });
});

describe('walking the grid of scatters', () => {
  const hill = (sharpness: number) => (at: number) =>
    -sharpness * ((Math.floor(at / 49) - 30) ** 2 + 2 * ((at % 49) - 14) ** 2);

  test('visits what weighs of a broad hill in coarse steps, with the weights of a full visit', () => {
    const broad = hill(0.02);
    const { stride, nodes, logWeights } = walkGrid(climbGrid(broad), broad);
    expect(stride).toBe(4);
    const coarse = SCATTER_GRID.flatMap((_, at) =>
      Math.floor(at / 49) % 4 === 0 && (at % 49) % 4 === 0 ? [at] : [],
    );
    const full = normaliseWeights(coarse.map(broad));
    const walked = normaliseWeights(logWeights);
    coarse.forEach((at, i) =>
      expect(Math.abs((walked[nodes.indexOf(at)] ?? 0) - full[i])).toBeLessThan(1e-7),
    );
  });

  test('takes finer steps on a sharp hill, so that its middle and spread come out right', () => {
    const sharp = hill(0.25);
    const { stride, nodes, logWeights } = walkGrid(climbGrid(sharp), sharp);
    expect(stride).toBeLessThan(4);
    const weights = normaliseWeights(logWeights);
    const rows = nodes.map((at) => Math.floor(at / 49));
    const mean = rows.reduce((sum, row, i) => sum + weights[i] * row, 0);
    const variance = rows.reduce((sum, row, i) => sum + weights[i] * (row - mean) ** 2, 0);
    expect(mean).toBeCloseTo(30, 2);
    // A normal hill exp(−0.25·d²) has the variance 1/(2·0.25).
    expect(variance).toBeCloseTo(2, 1);
  });
});

describe('readings that look odd', () => {
  const { readings, options } = loadSignatureCase(11);

  test('an honest file raises none', () => {
    expect(leaveOneOut(estimateSignature(readings, options), options).suspicious).toEqual([]);
  });

  test('two digits exchanged are found, at their line, with the reading that was meant', () => {
    const at = readings.findIndex(
      ({ readingMm }) =>
        readingMm > 19.9 && readingMm < 20.2 && readingMm.toFixed(2)[3] !== readingMm.toFixed(2)[4],
    );
    const meant = readings[at].readingMm;
    const text = meant.toFixed(2);
    const typed = Number(`${text.slice(0, 3)}${text[4]}${text[3]}`);
    const mistyped = readings.map((reading, i) => (i === at ? { ...reading, readingMm: typed } : reading));
    const { suspicious } = leaveOneOut(estimateSignature(mistyped, options), options);
    expect(suspicious.map(({ reading }) => reading.source)).toContain(readings[at].source);
    expect(suspicious.find(({ reading }) => reading.source === readings[at].source)?.guessMm).toBeCloseTo(
      meant,
      9,
    );
  });

  test('a reading far off is found even when it was the only one of its feature', () => {
    const lone: SignatureReading = {
      ...WIDTH,
      feature: 'lone',
      print: readings[0].print,
      drawnMm: 20,
      readingMm: 20.9,
      source: 999,
    };
    const { suspicious } = leaveOneOut(estimateSignature([...readings, lone], options), options);
    expect(suspicious.map(({ reading }) => reading.source)).toEqual([999]);
    expect(suspicious[0].z).toBeGreaterThan(4);
  });
});
