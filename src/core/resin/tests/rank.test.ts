import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkResin } from '../check';
import { findChanges } from '../change';
import { evidenceOf, heatAt, type ResinFile } from '../evidence-of';
import type { ResinTest } from '../resin-test';
import { PROPERTY_IDS, PROPERTIES, type PropertyId } from '../properties';
import { meritsOf, nearestResins, rankResins } from '../rank';
import { NO_REQUIREMENT, type Requirement } from '../requirement';
import { BENCH_LIMITS } from '../bend';
import { EMPTY_SHEET, type Quote, type ResinSheet } from '../sheet';
import { SHIPPED_SHELF } from '../shipped-shelf';

const VANE: Requirement = {
  ...NO_REQUIREMENT,
  serviceMax_C: 92,
  stress_MPa: 0.6,
  strainMax: 0.045,
  washWith: ['alcohol'],
  smallestFeature_mm: 0.8,
};
const file = (name: string, quotes: readonly Quote[], more: Partial<ResinSheet> = {}): ResinFile => ({
  name,
  sheet: { ...EMPTY_SHEET, ...more, quotes },
  proofs: [],
});
const quote = (property: PropertyId, value: number): Quote => ({
  property,
  value,
  condition: 'cured',
  source: 'datasheet',
});

/** Any sheet, with any of its values left out. */
const anySheet = fc
  .record({
    values: fc.tuple(
      ...PROPERTY_IDS.map((id) =>
        fc.option(fc.double({ min: PROPERTIES[id].range[0], max: PROPERTIES[id].range[1], noNaN: true })),
      ),
    ),
    washLiquids: fc.option(fc.subarray(['alcohol', 'water'] as const)),
    clarity: fc.option(fc.constantFrom('clear' as const, 'opaque' as const)),
    rated: fc.option(fc.subarray(['skin', 'food'])),
    atC: fc.integer({ min: 5, max: 40 }),
  })
  .map(({ values, washLiquids, clarity, rated, atC }): ResinSheet => ({
    family: 'general',
    quotes: PROPERTY_IDS.flatMap((property, i) => {
      const value = values[i];
      return value === null
        ? []
        : { ...quote(property, value), ...(property === 'viscosity_mPas' ? { atC } : {}) };
    }),
    washLiquids: washLiquids ?? undefined,
    clarity: clarity ?? undefined,
    rated: rated ?? undefined,
    cautions: [],
  }));
const optional = (min: number, max: number) => fc.option(fc.double({ min, max, noNaN: true }));
const anyRequirement = fc
  .record({
    serviceMax_C: optional(0, 200),
    processMax_C: optional(0, 200),
    stress_MPa: optional(0, 3),
    strainMax: optional(0, 1),
    impact: fc.constantFrom(null, 'low' as const, 'medium' as const, 'high' as const),
    stiffness_MPa: fc.tuple(optional(1, 1000), optional(1000, 9000)),
    shoreA: optional(10, 90),
    clear: fc.boolean(),
    claims: fc.subarray(['food', 'mains']),
    washWith: fc.subarray(['alcohol', 'water'] as const),
    room_C: optional(5, 40),
    smallestFeature_mm: optional(0.05, 2),
  })
  .map((some): Requirement => ({ ...NO_REQUIREMENT, ...some }));

/** What each requirement must know before it may pass. */
const BASIS: Readonly<Record<string, readonly PropertyId[]>> = {
  heat: ['deflectionLow_C', 'deflectionHigh_C'],
  strain: ['elongation'],
  impact: ['impact_J_m', 'dropHeight_m'],
  stiffnessLeast: ['flexuralModulus_MPa', 'tensileModulus_MPa'],
  stiffnessMost: ['flexuralModulus_MPa', 'tensileModulus_MPa'],
  hardness: ['shoreA'],
  room: ['leastRoom_C', 'viscosity_mPas'],
  feature: ['leastFeature_mm'],
};

describe('hard requirements', () => {
  test('an unknown value is never a pass', () => {
    fc.assert(
      fc.property(anySheet, anyRequirement, (sheet, wanted) => {
        const known = new Set(sheet.quotes.map(({ property }) => property));
        for (const { requirement, state } of checkResin(
          evidenceOf({ name: 'x', sheet, proofs: [] }),
          wanted,
        )) {
          if (state !== 'pass') continue;
          const basis = BASIS[requirement];
          if (basis !== undefined) expect(basis.some((property) => known.has(property))).toBe(true);
          if (requirement === 'wash') expect(sheet.washLiquids).toBeDefined();
          if (requirement === 'clear') expect(sheet.clarity).toBe('clear');
          if (requirement.startsWith('rated:')) expect(sheet.rated).toBeDefined();
        }
      }),
      { numRuns: 600 },
    );
  });
  test('taking any value away never turns another verdict into a pass', () => {
    fc.assert(
      fc.property(anySheet, anyRequirement, fc.nat(), (sheet, wanted, pick) => {
        fc.pre(sheet.quotes.length > 0);
        const { property } = sheet.quotes[pick % sheet.quotes.length];
        // A viscosity only stands in where no least temperature is stated, a Shore or a tensile value where no better is.
        fc.pre(
          ![
            'leastRoom_C',
            'flexuralModulus_MPa',
            'deflectionLow_C',
            'deflectionHigh_C',
            'dropHeight_m',
          ].includes(property),
        );
        const less = { ...sheet, quotes: sheet.quotes.filter((each) => each.property !== property) };
        const passes = (of: ResinSheet) =>
          checkResin(evidenceOf({ name: 'x', sheet: of, proofs: [] }), wanted)
            .filter(({ state }) => state === 'pass')
            .map(({ requirement }) => requirement);
        const before = passes(sheet);
        for (const requirement of passes(less)) expect(before).toContain(requirement);
      }),
    );
  });
  test('the hottest step decides, making included, with the margin on top', () => {
    const resin = evidenceOf(file('a', [quote('deflectionHigh_C', 100)]));
    const heat = (wanted: Partial<Requirement>) => checkResin(resin, { ...NO_REQUIREMENT, ...wanted })[0];
    expect(heat({ serviceMax_C: 85 })).toMatchObject({ state: 'pass', need: 100, have: 100, margin: 0 });
    expect(heat({ serviceMax_C: 40, processMax_C: 121 })).toMatchObject({
      state: 'fails',
      need: 136,
      margin: -36,
    });
  });
  test('without a stress the upper test decides; a lower one alone leaves it open', () => {
    const low = evidenceOf(file('a', [quote('deflectionLow_C', 200)]));
    expect(checkResin(low, { ...NO_REQUIREMENT, serviceMax_C: 20 })[0].state).toBe('unknown');
    expect(checkResin(low, { ...NO_REQUIREMENT, serviceMax_C: 20, stress_MPa: 0.3 })[0].state).toBe('pass');
  });
  test('a printer’s pixels can fail a feature that the resin’s own sheet is silent about, never pass it', () => {
    const bare = evidenceOf(file('a', []));
    const wanted = { ...NO_REQUIREMENT, smallestFeature_mm: 0.1 };
    expect(checkResin(bare, wanted, { pixelMm: 0.047 })[0].state).toBe('fails');
    expect(checkResin(bare, wanted, { pixelMm: 0.022 })[0].state).toBe('unknown');
  });
  test('the vane at 92 °C: the one in the vat softens, the hottest one cracks, one passes', () => {
    const ranked = rankResins(SHIPPED_SHELF, VANE);
    const byName = new Map(ranked.map((each) => [each.resin, each]));
    expect(ranked.filter(({ verdict }) => verdict === 'passes').map(({ resin }) => resin)).toEqual([
      'Anvil Impact',
    ]);
    const why = (name: string) =>
      byName
        .get(name)!
        .checks.filter(({ state }) => state === 'fails')
        .map(({ requirement }) => requirement);
    expect(why('Slate General')).toEqual(['heat']);
    expect(why('Hearth')).toEqual(['strain']);
  });
});

describe('ranking', () => {
  const shelf = fc.uniqueArray(fc.tuple(fc.string({ minLength: 1, maxLength: 6 }), anySheet), {
    minLength: 2,
    maxLength: 8,
    selector: ([name]) => name,
  });
  const filesOf = (entries: readonly [string, ResinSheet][]): ResinFile[] =>
    entries.map(([name, sheet]) => ({ name, sheet, proofs: [] }));
  test('the order of the shelf does not show', () => {
    fc.assert(
      fc.property(shelf, anyRequirement, (entries, wanted) => {
        const files = filesOf(entries);
        expect(rankResins([...files].reverse(), wanted)).toEqual(rankResins(files, wanted));
      }),
    );
  });
  test('taking a resin away never changes the order or the score of the others', () => {
    fc.assert(
      fc.property(shelf, anyRequirement, fc.nat(), (entries, wanted, pick) => {
        const files = filesOf(entries);
        const gone = files[pick % files.length].name;
        const strip = (ranked: ReturnType<typeof rankResins>) =>
          ranked
            .filter(({ resin }) => resin !== gone)
            .map(({ resin, score, verdict }) => ({ resin, score, verdict }));
        expect(strip(rankResins(files, wanted))).toEqual(
          strip(
            rankResins(
              files.filter(({ name }) => name !== gone),
              wanted,
            ),
          ),
        );
      }),
    );
  });
  test('a better value never lowers a score: heat, elongation, impact, resolution up in goodness, price down', () => {
    const better: Partial<Record<PropertyId, number>> = {
      deflectionHigh_C: 1,
      elongation: 0.01,
      impact_J_m: 5,
      leastFeature_mm: -0.01,
      price_litre: -1,
    };
    fc.assert(
      fc.property(
        anySheet,
        anyRequirement,
        fc.constantFrom(...(Object.keys(better) as PropertyId[])),
        (sheet, wanted, id) => {
          const lifted = {
            ...sheet,
            quotes: sheet.quotes.map((each) =>
              each.property === id ? { ...each, value: Math.max(0, each.value + better[id]!) } : each,
            ),
          };
          const of = (each: ResinSheet) =>
            rankResins([{ name: 'x', sheet: each, proofs: [] }], wanted)[0].score;
          expect(of(lifted)).toBeGreaterThanOrEqual(of(sheet) - 1e-12);
        },
      ),
    );
  });
  test('a weight of nought takes a criterion out, an unasked one never counts', () => {
    const evidence = evidenceOf(SHIPPED_SHELF[0]);
    expect(meritsOf(evidence, NO_REQUIREMENT)).toMatchObject({ heat: null, stiffness: null, detail: null });
    const cheap = { ...NO_REQUIREMENT, weights: { heat: 0, toughness: 0, stiffness: 0, detail: 0, cost: 1 } };
    expect(rankResins(SHIPPED_SHELF, cheap)[0].resin).toBe('Slate General');
  });
  test('what stands in a vat costs no changing over', () => {
    const [slate] = SHIPPED_SHELF;
    const evidence = evidenceOf(slate);
    const away = meritsOf(evidence, NO_REQUIREMENT, { printMl: 50, changeoverMl: 30, inVat: [] }).cost!;
    const here = meritsOf(evidence, NO_REQUIREMENT, {
      printMl: 50,
      changeoverMl: 30,
      inVat: [slate.name],
    }).cost!;
    // exp(−38·0.05/5) against exp(−38·0.08/5)
    expect(here).toBeCloseTo(Math.exp(-0.38), 12);
    expect(away).toBeCloseTo(Math.exp(-0.608), 12);
  });
  test('nothing beats a marked one in everything, and each unmarked passing one is beaten', () => {
    const ranked = rankResins(SHIPPED_SHELF, { ...NO_REQUIREMENT, strainMax: 0.02 });
    const front = ranked.filter(({ pareto }) => pareto);
    expect(front.length).toBeGreaterThan(0);
    expect(front.every(({ verdict }) => verdict === 'passes')).toBe(true);
    for (const each of ranked.filter(({ verdict, pareto }) => verdict === 'passes' && !pareto)) {
      const beaten = front.some(({ merits }) =>
        (['toughness', 'cost'] as const).every((criterion) => merits[criterion]! >= each.merits[criterion]!),
      );
      expect(beaten).toBe(true);
    }
  });
  test('where nothing passes the nearest three are named, the least short first', () => {
    const ranked = rankResins(SHIPPED_SHELF, { ...VANE, serviceMax_C: 130, strainMax: 0.1 });
    expect(ranked.some(({ verdict }) => verdict === 'passes')).toBe(false);
    expect(nearestResins(ranked).map(({ resin }) => resin)[0]).toBe('Hearth');
    expect(nearestResins(ranked)).toHaveLength(3);
  });
  test('a shelf of one', () => {
    expect(rankResins([SHIPPED_SHELF[0]], VANE)).toHaveLength(1);
  });
});

describe('proofs outrank sheets', () => {
  const bar = { bend: 'threePoint', spanMm: 64, widthMm: 10, thicknessMm: 4 } as const;
  const sagProof = (lastC: number, gave: boolean): ResinTest => ({
    kind: 'sag',
    on: '2026-11-02',
    test: {
      bar,
      massG: 120,
      bath: 'water',
      thermometerK: 1,
      steps: [
        { tempC: 20, readingMm: 1 },
        { tempC: lastC - 5, readingMm: 1.05 },
        { tempC: lastC, readingMm: gave ? 2 : 1.1 },
      ],
    },
  });
  const anvil = SHIPPED_SHELF.find(({ name }) => name === 'Anvil Impact')!;
  test('a bar that gave way at 75 °C refutes a sheet that says 111', () => {
    const proven = evidenceOf({ ...anvil, proofs: [sagProof(75, true)] });
    expect(heatAt(proven, 0.6)!.value).toBeLessThan(75);
    expect(checkResin(proven, VANE)[0].state).toBe('fails');
  });
  test('a kettle that ended at 95 °C does not speak against a sheet that says 111', () => {
    const shown = heatAt(evidenceOf({ ...anvil, proofs: [sagProof(95, false)] }), 0.6)!;
    expect(shown.value).toBeCloseTo(110.94, 2);
  });
  test('alone it proves 95 °C and leaves more open', () => {
    const bare = evidenceOf({ name: 'mix', sheet: EMPTY_SHEET, proofs: [sagProof(95, false)] });
    const at = (serviceMax_C: number) =>
      checkResin(bare, { ...NO_REQUIREMENT, serviceMax_C, stress_MPa: 0.6 })[0].state;
    expect(at(78)).toBe('pass');
    expect(at(92)).toBe('unknown');
  });
  test('a proof at a lower stress says nothing of a higher one', () => {
    const bare = evidenceOf({ name: 'mix', sheet: EMPTY_SHEET, proofs: [sagProof(95, false)] });
    expect(heatAt(bare, 1.5)).toBeUndefined();
  });
  test('a proven elongation passes only with its whole interval', () => {
    const proofs: ResinTest[] = [
      {
        kind: 'break',
        on: '2026-11-02',
        test: { bar, deflectionsMm: [6], broke: true, limits: BENCH_LIMITS },
      },
    ];
    const state = (strainMax: number) =>
      checkResin(evidenceOf({ ...anvil, proofs }), { ...NO_REQUIREMENT, strainMax })[0].state;
    expect([state(0.02), state(0.035), state(0.06)]).toEqual(['pass', 'unknown', 'fails']);
  });
  test('a fall that ended in pieces fails what its sheet would pass', () => {
    const proofs: ResinTest[] = [
      {
        kind: 'drop',
        on: '2026-11-02',
        test: {
          trials: [
            { heightM: 0.8, broke: true },
            { heightM: 0.5, broke: false },
          ],
        },
      },
    ];
    const wanted = { ...NO_REQUIREMENT, impact: 'high' as const };
    expect(checkResin(evidenceOf(anvil), wanted)[0].state).toBe('pass');
    expect(checkResin(evidenceOf({ ...anvil, proofs }), wanted)[0].state).toBe('fails');
  });
});

describe('what would have to change', () => {
  test('heat: a cooler moment, less stress; each makes it pass', () => {
    const slate = evidenceOf(SHIPPED_SHELF[0]);
    const wanted = { ...NO_REQUIREMENT, serviceMax_C: 42, stress_MPa: 0.9 };
    const [check] = checkResin(slate, wanted);
    const changes = findChanges(check, slate, wanted);
    const cooler = changes.find(({ code }) => code === 'coolerMoment') as { toC: number };
    expect(checkResin(slate, { ...wanted, serviceMax_C: cooler.toC - 1e-6 })[0].state).toBe('pass');
    const lighter = changes.find(({ code }) => code === 'lessStress') as { toMPa: number };
    expect(checkResin(slate, { ...wanted, stress_MPa: lighter.toMPa - 1e-6 })[0].state).toBe('pass');
  });
  test('stiffness: a section thicker by the cube root', () => {
    const kelp = evidenceOf(SHIPPED_SHELF[2]);
    const wanted: Requirement = { ...NO_REQUIREMENT, stiffness_MPa: [480, null] };
    expect(findChanges(checkResin(kelp, wanted)[0], kelp, wanted)).toEqual([{ code: 'thicker', times: 2 }]);
  });
  test('an unknown value names the proof that would settle it', () => {
    const bare = evidenceOf(file('a', []));
    const wanted = {
      ...NO_REQUIREMENT,
      serviceMax_C: 70,
      stress_MPa: 0.4,
      strainMax: 0.02,
      claims: ['food'],
    };
    const changes = checkResin(bare, wanted).flatMap((check) => findChanges(check, bare, wanted));
    expect(changes).toEqual([
      { code: 'prove', by: 'bath' },
      { code: 'prove', by: 'break' },
      { code: 'askSupplier', requirement: 'rated:food' },
    ]);
  });
});
