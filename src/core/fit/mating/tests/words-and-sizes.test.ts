import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  estimateSignature,
  FIT_WORDS,
  learnMeanings,
  sideOfWord,
  type FitWord,
  type SignatureReading,
  type Try,
} from '@/core/signature';
import { drawFit, targetForMate, wishedClearance, WISHES, type Wish } from '../index';

const OPTIONS = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
const KINDS = [
  { sense: 'inside', shape: 'round', axis: 'XY' },
  { sense: 'outside', shape: 'round', axis: 'XY' },
  { sense: 'inside', shape: 'flat', axis: 'X' },
] as const;

interface Situation {
  readonly kind: (typeof KINDS)[number];
  readonly wish: Wish;
  readonly mateMm: number;
  /** Drawn size away from the target, mm. */
  readonly offMm: number;
  /** A reading of the feature, away from the drawn size; undefined: none. */
  readonly readMm?: number;
}

/** How much tighter the next size is drawn with a word than without it, mm. */
function tightening({ kind, wish, mateMm, offMm, readMm }: Situation, word: FitWord): number {
  const { lowMm, highMm } = wishedClearance(wish, mateMm);
  const limits = targetForMate(kind.sense, { sizeMm: mateMm, u_mm: 0.005 }, { lowMm, highMm });
  const target = { feature: 'f', kind, ...limits };
  const drawnMm = limits.targetMm + offMm;
  const readings: SignatureReading[] =
    readMm === undefined
      ? []
      : [{ ...kind, feature: 'f', print: 'P1', drawnMm, readingMm: drawnMm + readMm }];
  const said: Try = {
    ...kind,
    feature: 'f',
    print: 'P1',
    drawnMm,
    word,
    mateMm,
    mateU_mm: 0.005,
    wishedMm: [lowMm, highMm],
  };
  const before = drawFit(estimateSignature(readings, OPTIONS), target).drawMm;
  const after = drawFit(estimateSignature(readings, { ...OPTIONS, tries: [said] }), target).drawMm;
  return kind.sense === 'inside' ? before - after : after - before;
}

const situations = fc.record({
  kind: fc.constantFrom(...KINDS),
  wish: fc.constantFrom(...WISHES),
  mateMm: fc.double({ min: 2, max: 60, noNaN: true }),
  offMm: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  readMm: fc.option(fc.double({ min: -0.2, max: 0.2, noNaN: true }), { nil: undefined }),
});

describe('a word never moves the next size the wrong way', () => {
  test.each([
    ['rattles', 'looser'],
    ['slides', undefined],
    ['needsForce', 'tighter'],
    ['wontEnter', 'tighter'],
  ] as const)('“%s” never draws %s, over all wishes', (word, wrong) => {
    fc.assert(
      fc.property(situations, (situation) => {
        const tighter = tightening(situation, word);
        expect(Number.isFinite(tighter)).toBe(true);
        if (wrong === 'looser') expect(tighter).toBeGreaterThan(-1e-4);
        if (wrong === 'tighter') expect(tighter).toBeLessThan(1e-4);
      }),
      { numRuns: 60, seed: 7 },
    );
  });
});

describe('what this shop means by a word', () => {
  const said = (word: FitWord, clearanceMm: number) => ({ word, clearanceMm, u_mm: 0.01, mateMm: 10 });

  test('without a meeting of word and caliper the start values stand', () => {
    for (const meaning of Object.values(learnMeanings([])))
      expect(meaning).toEqual({ shiftMm: 0, sdMm: expect.closeTo(0.04, 9), count: 0 });
  });

  test('a shop whose “slides” is wider learns it, halfway after about as many meetings as the spread asks', () => {
    const { slides } = learnMeanings([said('slides', 0.16), said('slides', 0.16)]);
    // prior 0.04², each meeting 0.05² + 0.01²: gain 2·0.0016/(0.0026 + 2·0.0016)
    expect(slides.shiftMm).toBeCloseTo((0.06 * 0.0032) / 0.0058, 9);
    expect(slides.count).toBe(2);
  });

  test('a rattle heard at little clearance lowers where rattling begins, one heard far above says nothing', () => {
    expect(learnMeanings([said('rattles', 0.12)]).rattles.shiftMm).toBeLessThan(-0.01);
    expect(Math.abs(learnMeanings([said('rattles', 0.6)]).rattles.shiftMm)).toBeLessThan(1e-4);
    expect(learnMeanings([said('wontEnter', 0.02)]).wontEnter.shiftMm).toBeGreaterThan(0.01);
  });

  test('a word lies on its side of the wish', () => {
    expect(sideOfWord('slides', 10, [0, 0.06])).toBe('loose');
    expect(sideOfWord('slides', 10, [0.06, 0.16])).toBe('right');
    expect(sideOfWord('slides', 10, [0.16, 0.32])).toBe('tight');
    expect(sideOfWord('needsForce', 10, [-0.1, -0.02])).toBe('right');
    for (const word of FIT_WORDS) {
      const side = sideOfWord(word, 10, [0, 0.06]);
      if (word === 'wontEnter') expect(side).toBe('tight');
      if (word === 'rattles') expect(side).toBe('loose');
    }
  });
});
