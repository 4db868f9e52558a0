import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixtureMoments } from '@/core/kit/numerics';
import { estimateSignature, type SignatureReading } from '@/core/signature';
import { readReferenceJson } from '@/testing/reference';
import {
  chanceFree,
  estimateGapTest,
  findGapTestNote,
  gapForChance,
  isFloppy,
  jointAtScale,
  leastSpacing,
  offsetForGap,
  printedGap,
  scaleWindow,
  summariseGapTest,
  translateGapSteps,
  type JointDesign,
  type GapStep,
} from '../index';

const rungs = (gaps: readonly number[], free: readonly number[]): GapStep[] =>
  gaps.map((gapMm, i) => ({ gapMm, outcome: free[i] === 1 ? 'free' : 'fused' }));

const GAPS = [0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5];
const HALF_FREE = rungs(GAPS, [0, 0, 0, 1, 1, 1, 1, 1, 1]);

describe('the ladder', () => {
  test('threshold, width, recommendation and interval agree with the independent figures to 1 %', () => {
    interface Case {
      readonly gaps_mm: number[];
      readonly free: number[];
      readonly expected: Record<'g50_mm' | 'width_mm' | 'recommended_mm', number> & {
        interval95_mm: number[];
      };
    }
    for (const { gaps_mm, free, expected } of readReferenceJson<{ cases: Case[] }>('ladder.json').cases) {
      const summary = summariseGapTest(estimateGapTest(rungs(gaps_mm, free)));
      const within = (found: number, wanted: number) =>
        expect(Math.abs(found / wanted - 1)).toBeLessThan(0.01);
      within(summary.g50Mm, expected.g50_mm);
      within(summary.widthMm, expected.width_mm);
      within(summary.recommendedMm, expected.recommended_mm);
      summary.interval95Mm.forEach((end, i) => within(end, expected.interval95_mm[i]));
    }
  });

  test('stiff counts as not free and sloppy as free', () => {
    const words = estimateGapTest([
      { gapMm: 0.2, outcome: 'stiff' },
      { gapMm: 0.4, outcome: 'sloppy' },
    ]);
    const plain = estimateGapTest(rungs([0.2, 0.4], [0, 1]));
    expect(words.weights).toEqual(plain.weights);
  });

  test('a rung that fused above the recommended gap asks for a wider one; one that freed well below asks for no wider threshold', () => {
    const before = estimateGapTest(HALF_FREE);
    const recommended = gapForChance(before, 0.95);
    fc.assert(
      fc.property(fc.double({ min: recommended, max: 0.8, noNaN: true }), (gapMm) => {
        const fused = estimateGapTest([...HALF_FREE, { gapMm, outcome: 'fused' }]);
        expect(gapForChance(fused, 0.95)).toBeGreaterThan(recommended);
      }),
      { numRuns: 25 },
    );
    const freed = estimateGapTest([...HALF_FREE, { gapMm: 0.2, outcome: 'free' }]);
    expect(summariseGapTest(freed).g50Mm).toBeLessThan(summariseGapTest(before).g50Mm);
  });

  test('outcomes that leave the threshold open, or cross, are said and still computed with', () => {
    expect(findGapTestNote([])).toEqual({ code: 'noRungs' });
    expect(findGapTestNote(rungs([0.1, 0.2], [0, 0]))).toEqual({ code: 'allFused', mostMm: 0.2 });
    expect(findGapTestNote(rungs([0.1, 0.2], [1, 1]))).toEqual({ code: 'allFree', leastMm: 0.1 });
    expect(findGapTestNote(rungs([0.1, 0.2, 0.3], [0, 1, 0]))).toEqual({
      code: 'crossed',
      freeMm: 0.2,
      fusedMm: 0.3,
    });
    expect(findGapTestNote(HALF_FREE)).toBeUndefined();
    expect(gapForChance(estimateGapTest(rungs([0.1, 0.2], [0, 0])), 0.95)).toBeGreaterThan(0.2);
  });

  test('the chance at the recommended gap is 0.95', () => {
    const ladder = estimateGapTest(HALF_FREE);
    expect(chanceFree(ladder, gapForChance(ladder, 0.95))).toBeCloseTo(0.95, 4);
  });
});

/** A process that shrinks by 0.4 % and grows every edge by 0.04, read without noise on enough sizes to be pinned. */
function learned(edgeMm = 0.04) {
  const reading = (
    kind: Pick<SignatureReading, 'sense' | 'shape' | 'axis'>,
    drawnMm: number,
  ): SignatureReading => ({
    ...kind,
    feature: `${kind.sense} ${kind.shape} ${kind.axis} ${drawnMm}`,
    print: 'P1',
    drawnMm,
    readingMm: drawnMm * 0.996 + (kind.sense === 'inside' ? -2 : 2) * edgeMm,
  });
  const sizes = [2, 4, 8, 16, 30];
  return estimateSignature(
    [
      ...sizes.map((mm) => reading({ sense: 'outside', shape: 'flat', axis: 'X' }, mm)),
      ...sizes.map((mm) => reading({ sense: 'outside', shape: 'flat', axis: 'Y' }, mm)),
      ...sizes.map((mm) => reading({ sense: 'inside', shape: 'flat', axis: 'X' }, mm)),
      ...sizes.map((mm) => reading({ sense: 'inside', shape: 'round', axis: 'XY' }, mm)),
      ...sizes.map((mm) => reading({ sense: 'outside', shape: 'round', axis: 'XY' }, mm)),
    ],
    { instruments: { '': { mpeMm: 0.002, resolutionMm: 0.001, jawFlatMm: 0 } } },
  );
}

const HINGE: JointDesign = { kind: 'hinge', gapMm: 0.3, pinMm: 5, spanMm: 12 };
const SIGNATURE = learned();
const LADDERS = { plane: estimateGapTest(HALF_FREE), height: estimateGapTest([]) };

describe('a joint printed in place', () => {
  test('its printed gap is s·g − 2(e + h), half of what hole and pin leave', () => {
    const { mean } = mixtureMoments(printedGap(SIGNATURE, HINGE, 'plane', 1));
    expect(mean).toBeCloseTo(0.996 * 0.3 - 2 * 0.04, 2);
  });

  test('scaling the file scales the drawn gap, not the process', () => {
    const at = (scale: number) => mixtureMoments(printedGap(SIGNATURE, HINGE, 'plane', scale)).mean;
    expect(at(1.6) - at(1)).toBeCloseTo(0.996 * 0.3 * 0.6, 2);
  });

  test('below the least scale of its window it is not likely free, above it is', () => {
    const { leastScale, mostScale } = scaleWindow(SIGNATURE, LADDERS, HINGE, { angleRad: 0.04 });
    expect(jointAtScale(SIGNATURE, LADDERS, HINGE, leastScale! * 0.98).free).toBeLessThan(0.95);
    expect(jointAtScale(SIGNATURE, LADDERS, HINGE, leastScale! * 1.02).free).toBeGreaterThan(0.95);
    // S_min = g_rec / g
    expect(leastScale).toBeCloseTo(summariseGapTest(LADDERS.plane).recommendedMm / 0.3, 3);
    expect(isFloppy(jointAtScale(SIGNATURE, LADDERS, HINGE, mostScale! * 1.02), { angleRad: 0.04 })).toBe(
      true,
    );
  });

  test('the edge offset restores the wanted gap at a wanted scale', () => {
    const wanted = 0.2;
    const offset = offsetForGap(SIGNATURE, HINGE, 1.6, wanted);
    const mended = { ...HINGE, gapMm: HINGE.gapMm + (2 * offset) / 1.6 };
    expect(mixtureMoments(printedGap(SIGNATURE, mended, 'plane', 1.6)).mean).toBeCloseTo(wanted, 6);
    // (G + 2(e + h) − S·s·g)/(2s)
    expect(offset).toBeCloseTo((0.2 + 0.08 - 1.6 * 0.996 * 0.3) / (2 * 0.996), 2);
    expect(offset).toBeLessThan(0);
  });

  test('play is twice the gap across, and its angle over the guiding length', () => {
    const state = jointAtScale(SIGNATURE, LADDERS, HINGE, 1);
    expect(state.lateralMm).toBeCloseTo(2 * state.plane.meanMm, 12);
    expect(state.angleRad).toBeCloseTo(Math.atan(state.lateralMm / 12), 12);
  });

  test('copies set at the least spacing print the recommended gap between them', () => {
    const spacing = leastSpacing(SIGNATURE, LADDERS.plane, HINGE, 20);
    const gap = spacing * 0.996 - 0.08;
    const wanted = 0.996 * summariseGapTest(LADDERS.plane).recommendedMm - 0.08;
    expect(Math.abs(gap - wanted)).toBeLessThan(0.02);
  });

  test('rungs learned on a fatter process are worth narrower drawn gaps on a leaner one', () => {
    const lean = learned(0.01);
    const moved = translateGapSteps([{ gapMm: 0.3, outcome: 'free' }], HINGE, 'plane', SIGNATURE, lean);
    // equal printed gaps: 0.3·s − 0.08 = g·s − 0.02
    expect(moved[0].gapMm).toBeCloseTo(0.3 - 0.06 / 0.996, 2);
    expect(translateGapSteps(HALF_FREE, HINGE, 'plane', SIGNATURE, SIGNATURE)[4].gapMm).toBeCloseTo(0.3, 6);
  });

  test('a scale of zero is a programming error here: forms refuse it before', () => {
    expect(() => jointAtScale(SIGNATURE, LADDERS, HINGE, 0)).toThrow(RangeError);
  });
});

describe('every kind of joint', () => {
  const KINDS: readonly JointDesign[] = [
    HINGE,
    { kind: 'ball', gapMm: 0.3, pinMm: 9, spanMm: 6 },
    { kind: 'links', gapMm: 0.3, pinMm: 3, spanMm: 10 },
    { kind: 'slider', gapMm: 0.3, heightGapMm: 0.4, pinMm: 6, spanMm: 15 },
  ];

  test.each(KINDS)('$kind: a larger file frees itself more surely and plays more', (design) => {
    const states = [0.6, 1, 1.4, 2, 3].map((scale) => jointAtScale(SIGNATURE, LADDERS, design, scale));
    for (let i = 1; i < states.length; i++) {
      expect(states[i].free).toBeGreaterThan(states[i - 1].free);
      expect(states[i].lateralMm).toBeGreaterThanOrEqual(states[i - 1].lateralMm);
    }
  });

  test.each(KINDS)('$kind: its offset restores any wanted gap at any scale', (design) => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        (scale, wantedMm) => {
          const offset = offsetForGap(SIGNATURE, design, scale, wantedMm);
          const mended = { ...design, gapMm: design.gapMm + (2 * offset) / scale };
          if (mended.gapMm <= 0) return;
          const { mean } = mixtureMoments(printedGap(SIGNATURE, mended, 'plane', scale));
          expect(mean).toBeCloseTo(wantedMm, 5);
        },
      ),
      { seed: 3, numRuns: 12 },
    );
  });

  test.each(KINDS)('$kind: rungs carried to the process they came from stay where they were', (design) => {
    const moved = translateGapSteps(HALF_FREE, design, 'plane', SIGNATURE, SIGNATURE);
    moved.forEach(({ gapMm, outcome }, i) => {
      expect(gapMm).toBeCloseTo(HALF_FREE[i].gapMm, 6);
      expect(outcome).toBe(HALF_FREE[i].outcome);
    });
  });

  test('a roof over it can only make it less sure to come free', () => {
    const open = jointAtScale(SIGNATURE, LADDERS, HINGE, 1);
    const roofed = jointAtScale(SIGNATURE, LADDERS, { ...HINGE, heightGapMm: 0.4 }, 1);
    expect(roofed.free).toBeLessThan(open.free);
    expect(roofed.plane).toEqual(open.plane);
    expect(roofed.height?.meanMm).toBeLessThan(0.42);
  });

  test('at the least scale of its window a roofed slider waits for the slower of its two gaps', () => {
    const slider = KINDS[3];
    const { leastScale } = scaleWindow(SIGNATURE, LADDERS, slider, { lateralMm: 5 });
    const { leastScale: withoutRoof } = scaleWindow(
      SIGNATURE,
      LADDERS,
      { ...slider, heightGapMm: undefined },
      { lateralMm: 5 },
    );
    expect(leastScale!).toBeGreaterThan(withoutRoof!);
    expect(jointAtScale(SIGNATURE, LADDERS, slider, leastScale! * 1.01).free).toBeGreaterThanOrEqual(0.95);
  });

  test('a limit of play by angle and by length turn at the play they name', () => {
    const state = jointAtScale(SIGNATURE, LADDERS, HINGE, 1);
    expect(isFloppy(state, { lateralMm: state.lateralMm * 1.01 })).toBe(false);
    expect(isFloppy(state, { lateralMm: state.lateralMm * 0.99 })).toBe(true);
    expect(isFloppy(state, { angleRad: state.angleRad * 1.01 })).toBe(false);
    expect(isFloppy(state, { angleRad: state.angleRad * 0.99 })).toBe(true);
  });
});
