import { describe, expect, test } from '@jest/globals';
import { mixtureMoments } from '@/core/kit/numerics';
import {
  estimateSignature,
  FIT_WORDS,
  judgeStaleness,
  learnMeanings,
  meaningsWithout,
  predictSize,
  type FitWord,
  type SignatureReading,
  type Try,
} from '../index';

const OPTIONS = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
const HOLE = { sense: 'inside', shape: 'round', axis: 'XY' } as const;
const SHAFT = { sense: 'outside', shape: 'round', axis: 'XY' } as const;

/** Wanted clearance: snug. */
const SNUG = [0, 0.06] as const;

/** Predicted size of a feature drawn at 10 after a hand fit with a mate, for a wanted snug fit. */
function after(kind: typeof HOLE | typeof SHAFT, word: FitWord | undefined, mateMm = 10) {
  const said: Try[] =
    word === undefined
      ? []
      : [{ ...kind, feature: 'f', print: 'P1', drawnMm: 10, word, mateMm, mateU_mm: 0.005, wishedMm: SNUG }];
  const signature = estimateSignature([], { ...OPTIONS, tries: said });
  return mixtureMoments(predictSize(signature, { kind, drawnMm: 10, feature: 'f', print: 'P1' }));
}

describe('a try is evidence', () => {
  test('the looser the word, the larger the hole is thought', () => {
    const means = FIT_WORDS.map((word) => after(HOLE, word).mean);
    for (let i = 1; i < means.length; i++) expect(means[i]).toBeGreaterThan(means[i - 1]);
  });

  test('the looser the word, the smaller the shaft is thought', () => {
    const means = FIT_WORDS.map((word) => after(SHAFT, word).mean);
    for (let i = 1; i < means.length; i++) expect(means[i]).toBeLessThan(means[i - 1]);
  });

  test('every word narrows what is thought', () => {
    const { sd } = after(HOLE, undefined);
    for (const word of FIT_WORDS) expect(after(HOLE, word).sd).toBeLessThan(sd);
  });

  test('“rattles” never makes a hole thought smaller, “won’t enter” never larger, wherever the mate stands', () => {
    for (const mateMm of [9.5, 9.8, 10, 10.2]) {
      const { mean } = after(HOLE, undefined);
      expect(after(HOLE, 'rattles', mateMm).mean).toBeGreaterThanOrEqual(mean - 1e-9);
      expect(after(HOLE, 'wontEnter', mateMm).mean).toBeLessThanOrEqual(mean + 1e-9);
      expect(after(HOLE, 'needsForce', mateMm).mean).toBeLessThanOrEqual(Math.max(mean, mateMm) + 1e-9);
    }
  });

  test('the word “right” lands the clearance in the class that was wished', () => {
    const wished: Try = {
      ...HOLE,
      feature: 'f',
      print: 'P1',
      drawnMm: 10,
      word: 'right',
      mateMm: 9.7,
      mateU_mm: 0.002,
      wishedMm: [0.06, 0.16],
    };
    const signature = estimateSignature([], { ...OPTIONS, tries: [wished] });
    const { mean } = mixtureMoments(
      predictSize(signature, { kind: HOLE, drawnMm: 10, feature: 'f', print: 'P1' }),
    );
    expect(mean - 9.7).toBeGreaterThan(0.05);
    expect(mean - 9.7).toBeLessThan(0.17);
  });

  test('words teach other features through the shared law', () => {
    const said: Try[] = [1, 2, 3].map((i) => ({
      ...HOLE,
      feature: `h${i}`,
      print: 'P1',
      drawnMm: 8 + i,
      word: 'wontEnter',
      mateMm: 8 + i,
      mateU_mm: 0.005,
    }));
    const plain = estimateSignature([], OPTIONS);
    const taught = estimateSignature([], { ...OPTIONS, tries: said });
    const meanOf = (signature: typeof plain) =>
      mixtureMoments(predictSize(signature, { kind: HOLE, drawnMm: 10 })).mean;
    expect(meanOf(taught)).toBeLessThan(meanOf(plain));
  });

  test('a caliper outweighs a word on the same feature', () => {
    const readings: SignatureReading[] = [9.9, 9.9, 9.91].map((readingMm) => ({
      ...HOLE,
      feature: 'f',
      print: 'P1',
      drawnMm: 10,
      readingMm,
    }));
    const said: Try = {
      ...HOLE,
      feature: 'f',
      print: 'P1',
      drawnMm: 10,
      word: 'slides',
      mateMm: 9.7,
      mateU_mm: 0.005,
    };
    const both = estimateSignature(readings, { ...OPTIONS, tries: [said] });
    expect(
      mixtureMoments(predictSize(both, { kind: HOLE, drawnMm: 10, feature: 'f', print: 'P1' })).mean,
    ).toBeCloseTo(9.9, 1);
  });
});

describe('going stale', () => {
  test('holds while misses stay small and change sides', () => {
    expect(judgeStaleness([0.4, -0.8, 1.1, -1.5, 0.2, 2.9, -0.3])).toEqual({ kind: 'holds' });
    expect(judgeStaleness([])).toEqual({ kind: 'holds' });
  });

  test('one strong miss is chance, two in a row are not', () => {
    expect(judgeStaleness([3.4, 0.1, -3.2]).kind).toBe('holds');
    expect(judgeStaleness([0.1, 3.4, -3.2])).toEqual({ kind: 'twoInARow', at: 2 });
  });

  test('a slow walk is noticed with its side', () => {
    // Each step adds 1.5 − 0.5 = 1: above 4 with the fifth.
    expect(judgeStaleness([1.5, 1.5, 1.5, 1.5, 1.5])).toEqual({ kind: 'slowWalk', at: 4, side: 'over' });
    expect(judgeStaleness([-1.5, -1.5, -1.5, -1.5, -1.5])).toEqual({
      kind: 'slowWalk',
      at: 4,
      side: 'under',
    });
  });
});

test('what a word means beside its own meeting is what it would without it', () => {
  for (const word of FIT_WORDS) {
    const said = [0.02, 0.11, 0.3, -0.04].map((clearanceMm, i) => ({
      word,
      clearanceMm,
      u_mm: 0.01 + 0.002 * i,
      mateMm: 6 + 5 * i,
    }));
    meaningsWithout(said).forEach(({ shiftMm, sdMm, count }, i) => {
      const anew = learnMeanings(said.filter((_, j) => j !== i))[word];
      expect(shiftMm).toBeCloseTo(anew.shiftMm, 12);
      expect(sdMm).toBeCloseTo(anew.sdMm, 12);
      expect(count).toBe(3);
    });
  }
  expect(meaningsWithout([])).toEqual([]);
});
