import { keysOf } from '@/core/kit';
import {
  DEFAULT_PRACTICES,
  type Practice,
  PRACTICE_GROUPS,
  PRACTICES,
  practicesOf,
  reasonsOfPractice,
} from '@/core/workshop';
import { describe, expect, test } from '@jest/globals';
import {
  checkResin,
  describeCardReason,
  describeCardStep,
  evidenceOf,
  findChanges,
  NO_REQUIREMENT,
  processCard,
  PROPERTY_IDS,
  rankResins,
  type Requirement,
  SHIPPED_SHELF,
} from '@/core/resin';
import {
  describeBlendIssue,
  describeResinTestIssue,
  describeProperty,
  describeResinSheetIssue,
  describeShelfIssue,
  describeUnitIssue,
  formatProperty,
  parseShelfJson,
} from '@/subjects/resin/shelf/shared';
import { describeChange } from '../words-change';
import { describeCheck, describeRanked } from '../words-verdict';

const VANE: Requirement = {
  ...NO_REQUIREMENT,
  serviceMax_C: 92,
  stress_MPa: 0.6,
  strainMax: 0.045,
  room_C: 22,
  clear: false,
};

const why = (name: string, wanted: Requirement) =>
  describeRanked(rankResins(SHIPPED_SHELF, wanted).find(({ resin }) => resin === name)!);

test('a loser is told why, with its number and what was asked', () => {
  expect(why('Slate General', VANE)).toBe(
    'heat deflection temperature 59.3 °C, 47.7 K below the 107 °C needed',
  );
  expect(why('Hearth', VANE)).toBe(
    'elongation at break 1.6 %, 4.5 % needed; needs a room at 25 °C; yours is 22 °C',
  );
  expect(why('Anvil Impact', VANE)).toBe('passes with 3.9 K to spare beyond the margin');
  expect(why('Kelp Flex', VANE)).toBe('heat deflection temperature at this stress not stated');
});

test('every kind of requirement has its sentence, failed, unknown and passed', () => {
  const wanted: Requirement = {
    ...NO_REQUIREMENT,
    serviceMax_C: 60,
    strainMax: 0.1,
    impact: 'high',
    stiffness_MPa: [3000, 5000],
    shoreA: 20,
    clear: true,
    claims: ['food', 'a drone'],
    washWith: ['water'],
    room_C: 15,
    smallestFeature_mm: 0.05,
  };
  for (const resin of [
    ...SHIPPED_SHELF,
    { ...SHIPPED_SHELF[0], sheet: { family: 'general', quotes: [], cautions: [] } } as const,
  ]) {
    const evidence = evidenceOf(resin);
    for (const check of checkResin(evidence, wanted)) {
      expect(describeCheck(check)).toMatch(/\S/);
      expect(describeCheck(check)).not.toMatch(/undefined|NaN|null|rated:/);
      for (const change of findChanges(check, evidence, wanted))
        expect(describeChange(change)).not.toMatch(/undefined|NaN|rated:/);
    }
  }
});

test('shares are per cent, and every property has a name', () => {
  expect(formatProperty('elongation', 0.016)).toBe('1.6 %');
  expect(formatProperty('flexuralModulus_MPa', 2080)).toBe('2080 MPa');
  expect(formatProperty('glassTransition_C', -12)).toBe('−12 °C');
  for (const property of PROPERTY_IDS) expect(describeProperty(property)).toMatch(/^[A-Z]/);
});

test('each side of each school says its reason', () => {
  // Each is in one group of the Settings page.
  expect(keysOf(PRACTICE_GROUPS).flatMap(practicesOf).sort()).toEqual(Object.keys(PRACTICES).sort());
  for (const school of Object.keys(PRACTICES) as Practice[])
    for (const side of PRACTICES[school])
      expect(reasonsOfPractice(school, side as never)).toContain('Alternatives: ');
});

test('a process card reads from bottle to coat', () => {
  for (const resin of SHIPPED_SHELF) {
    const lines = processCard(resin, DEFAULT_PRACTICES, { claims: ['skin'] }).map(describeCardStep);
    expect(lines.map(({ title }) => title)).toContain('Coat');
    for (const { text } of lines) expect(text).not.toMatch(/undefined|NaN/);
    for (const step of processCard(resin, DEFAULT_PRACTICES))
      if (['supports', 'cure'].includes(step.step))
        expect(describeCardReason(step)).toContain('Alternatives: ');
  }
});

describe('refusals say what, where and how to mend it', () => {
  test('bad rows by name, the rest counted, nothing taken', () => {
    const resins = Array.from({ length: 9 }, (_, i) => ({
      name: `R${i}`,
      quotes: [{ property: 'density_g_ml', value: 0 }],
    }));
    const parsed = parseShelfJson(JSON.stringify({ kind: 'shelf', resins }));
    const said = parsed.ok ? '' : describeShelfIssue(parsed.issue);
    expect(said).toContain('resin 1, “R0”, quote 1 density_g_ml: a density must be above zero');
    expect(said).toContain('3 more problems. Nothing was imported');
  });
  test('sheets, units, blends, proofs', () => {
    expect(describeResinSheetIssue({ code: 'deflectionCrossed', lowC: 49, highC: 62 })).toContain('swapped');
    expect(describeUnitIssue({ code: 'unitUnknown', unit: 'bar', known: ['MPa', 'psi'] })).toContain(
      'MPa, psi',
    );
    expect(describeBlendIssue({ code: 'fractionsSum', sum: 0.9 })).toBe(
      'the parts add up to 90 %, not 100 %.',
    );
    expect(describeResinTestIssue({ code: 'waterBoils', tempC: 110, mostC: 95 })).toContain('oven');
  });
});
