import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { FIT_WORDS } from '@/core/signature';
import { chanceToFree, drawBridging, drawPrinter, printedGapOf, touchGapStep, wordOfClearance } from '..';

describe('the simulated hand', () => {
  test('says the five words from tight to loose as the clearance grows', () => {
    const said = [-0.2, -0.01, 0.05, 0.12, 0.4].map((mm) => wordOfClearance(mm, [0.02, 0.08], 10));
    expect(said).toEqual(FIT_WORDS);
  });

  test('never says a tighter word of a looser fit, whatever was wished', () => {
    const wish = fc.tuple(
      fc.double({ min: -0.2, max: 0.4, noNaN: true }),
      fc.double({ min: 0.01, max: 0.3, noNaN: true }),
    );
    const clearance = fc.double({ min: -0.5, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        wish,
        clearance,
        clearance,
        fc.double({ min: 1, max: 80, noNaN: true }),
        ([low, width], a, b, mateMm) => {
          const [tighter, looser] = [Math.min(a, b), Math.max(a, b)].map((mm) =>
            FIT_WORDS.indexOf(wordOfClearance(mm, [low, low + width], mateMm)),
          );
          expect(tighter).toBeLessThanOrEqual(looser);
        },
      ),
      { seed: 5, numRuns: 300 },
    );
  });

  test('says right of a press that was wished as a press', () => {
    expect(wordOfClearance(-0.06, [-0.1, -0.02], 10)).toBe('right');
    expect(wordOfClearance(-0.12, [-0.1, -0.02], 10)).toBe('wontEnter');
  });
});

describe('the simulated joint', () => {
  const bridgings = Array.from({ length: 200 }, (_, seed) =>
    drawBridging(seededRandom(seedFrom(seed, 'ladder'))),
  );

  test('bridges between 0.04 and 0.22 mm with a width of 0.008 to 0.03', () => {
    for (const { limitMm, widthMm } of bridgings) {
      expect(limitMm).toBeGreaterThanOrEqual(0.04);
      expect(limitMm).toBeLessThanOrEqual(0.22);
      expect(widthMm).toBeGreaterThanOrEqual(0.008);
      expect(widthMm).toBeLessThanOrEqual(0.03);
    }
  });

  test('at its limit half come free, two widths above 88 %', () => {
    const bridging = { limitMm: 0.12, widthMm: 0.02 };
    expect(chanceToFree(bridging, 0.12)).toBeCloseTo(0.5, 12);
    // 1/(1 + e⁻²)
    expect(chanceToFree(bridging, 0.16)).toBeCloseTo(0.880797, 6);
  });

  test('a wider drawn gap prints wider, in the plane and through height, and narrower than drawn', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const printer = drawPrinter(seed);
      for (const direction of ['plane', 'height'] as const) {
        const [narrow, wide] = [0.3, 0.6].map((mm) => printedGapOf(printer, direction, mm));
        expect(wide).toBeGreaterThan(narrow);
        expect(narrow).toBeLessThan(0.31);
      }
    }
  });

  test('far below its limit it is fused, just below stiff, well above free, far above sloppy', () => {
    const bridging = { limitMm: 0.12, widthMm: 0.01 };
    const at = (printedMm: number) =>
      new Set(Array.from({ length: 30 }, (_, i) => touchGapStep(bridging, printedMm, seededRandom(i))));
    expect(at(0.02)).toEqual(new Set(['fused']));
    expect(at(0.11)).toEqual(new Set(['stiff', 'free']));
    expect(at(0.2)).toEqual(new Set(['free']));
    expect(at(0.4)).toEqual(new Set(['sloppy']));
  });
});
