import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimateSignature } from '@/core/signature';
import {
  assessFit,
  cannotHold,
  clearanceOf,
  drawFit,
  targetForMate,
  wishedClearance,
  type FitTarget,
} from '../index';

const PRIOR_ONLY = estimateSignature([], { instruments: {} });
const OUTSIDE = { sense: 'outside', shape: 'round', axis: 'XY' } as const;
const INSIDE = { sense: 'inside', shape: 'round', axis: 'XY' } as const;

function target(kind: FitTarget['kind'], mateMm: number, ruin?: FitTarget['ruin']): FitTarget {
  const band = wishedClearance('push', mateMm);
  return { feature: 'f', kind, ruin, ...targetForMate(kind.sense, { sizeMm: mateMm, u_mm: 0.01 }, band) };
}

describe('limits from a mate', () => {
  test('an outside lies below its bore by the clearance, a bore above its shaft', () => {
    const band = { lowMm: 0, highMm: 0.06 };
    expect(targetForMate('outside', { sizeMm: 15.91, u_mm: 0.01 }, band).targetMm).toBeCloseTo(15.88, 9);
    expect(targetForMate('inside', { sizeMm: 9.47, u_mm: 0.01 }, band).targetMm).toBeCloseTo(9.5, 9);
  });

  test('the middle of the limits has the middle of the band as its clearance, heat and coat included', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('inside' as const, 'outside' as const),
        fc.double({ min: 2, max: 80, noNaN: true }),
        fc.double({ min: -20, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 0.1, noNaN: true }),
        (sense, sizeMm, serviceC, coatMm) => {
          const mate = { sizeMm, u_mm: 0.01, expansionPerK: 11.5e-6 };
          const band = { lowMm: 0.06, highMm: 0.16 };
          const { targetMm, lowerDeviationMm, upperDeviationMm } = targetForMate(sense, mate, band, {
            serviceC,
            coatMm,
          });
          const at = (sizeMm: number) => clearanceOf(sense, sizeMm, mate, { serviceC, coatMm });
          expect(at(targetMm)).toBeCloseTo(0.11, 9);
          const ends = [at(targetMm + lowerDeviationMm), at(targetMm + upperDeviationMm)].sort(
            (a, b) => a - b,
          );
          expect(ends[0]).toBeCloseTo(0.06, 9);
          expect(ends[1]).toBeCloseTo(0.16, 9);
        },
      ),
    );
  });

  test('a resin bore on steel loosens with heat, so it is drawn tighter for a hot place', () => {
    const steel = { sizeMm: 20, u_mm: 0.01, expansionPerK: 11.5e-6 };
    const band = { lowMm: 0, highMm: 0.06 };
    const cold = targetForMate('inside', steel, band).targetMm;
    // (90 − 11.5)e-6 · 72 K · 20 mm = 0.113 mm
    expect(cold - targetForMate('inside', steel, band, { serviceC: 92 }).targetMm).toBeCloseTo(0.113, 2);
  });
});

describe('the size to draw for a fit', () => {
  test('tight, right and loose add up to one', () => {
    for (const kind of [OUTSIDE, INSIDE]) {
      const { tight, inTolerance, loose } = drawFit(PRIOR_ONLY, target(kind, 10));
      expect(tight + inTolerance + loose).toBeCloseTo(1, 9);
    }
  });

  test('without ruin on either side no neighbouring size is likelier right', () => {
    const wanted = target(INSIDE, 10);
    const best = drawFit(PRIOR_ONLY, wanted);
    for (const step of [-0.02, -0.005, 0.005, 0.02])
      expect(assessFit(PRIOR_ONLY, wanted, best.drawMm + step).inTolerance).toBeLessThanOrEqual(
        best.inTolerance,
      );
  });

  test('no size beside the one drawn is worth more, for small holes too, where the law bends most', () => {
    for (const [kind, mm] of [
      [INSIDE, 2],
      [INSIDE, 0.8],
      [OUTSIDE, 20],
    ] as const) {
      // Wide limits: in narrow ones the search ends at its reach and not in a valley.
      const wanted = { ...target(kind, mm, 'tightCosts'), lowerDeviationMm: -0.2, upperDeviationMm: 0.2 };
      const cost = ({ tight, loose }: { tight: number; loose: number }) => 5 * tight + loose;
      const best = drawFit(PRIOR_ONLY, wanted);
      for (const asideMm of [-0.01, 0.01])
        expect(cost(best)).toBeLessThan(cost(assessFit(PRIOR_ONLY, wanted, best.drawMm + asideMm)));
    }
  });

  test('where too tight is ruin the size retreats from the mate, and where too loose is, towards it', () => {
    const wide = { lowerDeviationMm: -0.25, upperDeviationMm: 0.25 };
    const size = (ruin: FitTarget['ruin'], kind: FitTarget['kind']) =>
      drawFit(PRIOR_ONLY, { ...target(kind, 10, ruin), ...wide }).drawMm;
    expect(size('tightRuins', OUTSIDE)).toBeLessThan(size('tightCosts', OUTSIDE));
    expect(size('tightCosts', OUTSIDE)).toBeLessThan(size('none', OUTSIDE));
    expect(size('looseRuins', OUTSIDE)).toBeGreaterThan(size('none', OUTSIDE));
    expect(size('tightRuins', INSIDE)).toBeGreaterThan(size('none', INSIDE));
    const guarded = drawFit(PRIOR_ONLY, target(OUTSIDE, 10, 'tightRuins'));
    expect(guarded.tight).toBeLessThan(drawFit(PRIOR_ONLY, target(OUTSIDE, 10)).tight / 4);
  });

  test('a mate known less well lowers the chance to fit', () => {
    const wanted = target(OUTSIDE, 10);
    const vague = { ...wanted, mateU_mm: 0.05 };
    expect(drawFit(PRIOR_ONLY, vague).inTolerance).toBeLessThan(drawFit(PRIOR_ONLY, wanted).inTolerance);
  });

  test('a wish that the process cannot hold is known as such', () => {
    const wanted = target(OUTSIDE, 10);
    expect(cannotHold(wanted, drawFit(PRIOR_ONLY, wanted))).toBe(true);
    const wide = { ...wanted, lowerDeviationMm: -0.4, upperDeviationMm: 0.4 };
    expect(cannotHold(wide, drawFit(PRIOR_ONLY, wide))).toBe(false);
  });

  test('heights are drawn in whole layers, the better of the two neighbours', () => {
    const height: FitTarget = {
      feature: 'h',
      kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
      targetMm: 6.21,
      lowerDeviationMm: -0.05,
      upperDeviationMm: 0.05,
    };
    const best = drawFit(PRIOR_ONLY, height, { layerMm: 0.05 });
    expect(Math.abs(best.drawMm / 0.05 - Math.round(best.drawMm / 0.05))).toBeLessThan(1e-9);
    for (const step of [-0.05, 0.05])
      expect(assessFit(PRIOR_ONLY, height, best.drawMm + step).inTolerance).toBeLessThanOrEqual(
        best.inTolerance,
      );
  });
});
