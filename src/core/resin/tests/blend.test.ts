import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import { readReferenceJson } from '@/testing/reference';
import {
  batchOf,
  blendCurve,
  blendSheet,
  findBlendIssue,
  foxTransition,
  massFractions,
  modulusBounds,
} from '../blend';
import { SHIPPED_SHELF } from '../shipped-shelf';
import { NO_REQUIREMENT } from '../requirement';
import { rankResins } from '../rank';

const REFERENCE = readReferenceJson<{
  blend: { phi: number[]; E: number[]; reuss: number; voigt: number; logMix: number }[];
  fox: { w: number[]; Tg_C: number[]; expected_C: number }[];
}>('resin.json');
const resin = (name: string) => SHIPPED_SHELF.find((each) => each.name === name)!;
const parts = (...pairs: readonly [string, number][]) =>
  pairs.map(([name, fraction]) => ({ resin: resin(name), fraction }));

describe('reference', () => {
  test.each(REFERENCE.blend)('modulus bounds of $E at $phi', ({ phi, E, reuss, voigt, logMix }) => {
    const bounds = modulusBounds(phi, E);
    expect(bounds.reussMPa).toBeCloseTo(reuss, 9);
    expect(bounds.voigtMPa).toBeCloseTo(voigt, 9);
    expect(bounds.logMixMPa).toBeCloseTo(logMix, 9);
  });
  test.each(REFERENCE.fox)('Fox transition of $Tg_C at $w', ({ w, Tg_C, expected_C }) => {
    expect(foxTransition(w, Tg_C)).toBeCloseTo(expected_C, 9);
  });
});

test('Reuss lies below the log-mix, the log-mix below Voigt', () => {
  const modulus = fc.double({ min: 1, max: 5000, noNaN: true });
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 0.99, noNaN: true }), modulus, modulus, (phi, a, b) => {
      const { reussMPa, logMixMPa, voigtMPa } = modulusBounds([phi, 1 - phi], [a, b]);
      expect(reussMPa).toBeLessThanOrEqual(logMixMPa * (1 + 1e-12));
      expect(logMixMPa).toBeLessThanOrEqual(voigtMPa * (1 + 1e-12));
    }),
  );
});

describe('a blend before any bar of it', () => {
  const blend = expectOk(blendSheet(parts(['Slate General', 0.75], ['Kelp Flex', 0.25])));
  const known = blend.quotes.map(({ property }) => property);
  test('carries bounds of its modulus', () => {
    const modulus = blend.quotes.find(({ property }) => property === 'flexuralModulus_MPa')!;
    // 1/(0.75/2300 + 0.25/60), 0.75·2300 + 0.25·60
    expect(modulus.low).toBeCloseTo(222.58, 2);
    expect(modulus.high).toBeCloseTo(1740, 9);
  });
  test('heat, elongation, impact and hardness stay unknown, it is rated for nothing', () => {
    for (const property of [
      'deflectionLow_C',
      'deflectionHigh_C',
      'elongation',
      'impact_J_m',
      'shoreA',
    ] as const)
      expect(known).not.toContain(property);
    expect(blend.rated).toEqual([]);
  });
  test('takes the strictest handling and the liquids that wash both', () => {
    expect(blend.washLiquids).toEqual(['alcohol']);
    expect(blend.quotes.find(({ property }) => property === 'cureFloor_min')?.value).toBe(6);
    expect(known).not.toContain('cureCeiling_min');
  });
  test('is never a pass where heat or strain is asked', () => {
    const file = { name: 'mix', sheet: blend, proofs: [] };
    const [ranked] = rankResins([file], {
      ...NO_REQUIREMENT,
      serviceMax_C: 20,
      margin_K: 0,
      strainMax: 0.001,
    });
    expect(ranked.verdict).toBe('unknown');
  });
});

test('a batch in millilitres and grams; mass shares follow density', () => {
  const [a, b] = batchOf(parts(['Hearth', 0.5], ['Kelp Flex', 0.5]), 200);
  expect(a).toEqual({ resin: 'Hearth', fraction: 0.5, ml: 100, grams: 138 });
  expect(b.grams).toBeCloseTo(107, 9);
  expect(massFractions(parts(['Hearth', 0.5], ['Kelp Flex', 0.5]))![0]).toBeCloseTo(138 / 245, 12);
});

test('fractions that do not sum to one, one resin twice, one part, too much of an additive', () => {
  const issue = (...pairs: readonly [string, number][]) => findBlendIssue(parts(...pairs));
  expect(issue(['Slate General', 0.7], ['Kelp Flex', 0.2])).toEqual({
    code: 'fractionsSum',
    sum: expect.closeTo(0.9),
  });
  expect(issue(['Slate General', 0.5], ['Slate General', 0.5])).toMatchObject({ code: 'resinTwice' });
  expect(issue(['Slate General', 1])).toEqual({ code: 'partCount', given: 1 });
  expect(issue(['Slate General', 0], ['Kelp Flex', 1])).toMatchObject({ code: 'fractionNotPositive' });
  expect(issue(['Slate General', 0.6], ['Kelp Flex', 0.4])).toEqual({
    code: 'overAdditiveLimit',
    resin: 'Kelp Flex',
    fraction: 0.4,
    most: 0.3,
  });
  expect(issue(['Slate General', 0.75], ['Kelp Flex', 0.25])).toBeUndefined();
});

test('over the limit of an additive it can still be worked out', () => {
  expect(blendSheet(parts(['Slate General', 0.6], ['Kelp Flex', 0.4])).ok).toBe(true);
});

test('the curve runs from one resin to the other', () => {
  const curve = blendCurve(resin('Slate General'), resin('Kelp Flex'));
  expect(curve[0].modulus?.voigtMPa).toBeCloseTo(60, 9);
  expect(curve.at(-1)?.modulus?.reussMPa).toBeCloseTo(2300, 9);
  expect(curve[0].transitionC).toBeCloseTo(-12, 9);
});
