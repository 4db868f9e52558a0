import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import { readReferenceJson } from '@/testing/reference';
import {
  adviseFastening,
  allowedSnapStrain,
  BEARINGS,
  bossWall,
  completeTaper,
  facetErrorMm,
  isoFit,
  judgePress,
  leadInFor,
  NUTS,
  pressFit,
  shortestHook,
  sidesForTolerance,
  sizeChain,
  snapHook,
  standardTolerance_um,
  wishedClearance,
  WISHES,
  wishOfClearance,
} from '../index';

interface Cases<Case> {
  readonly cases: readonly Case[];
}

describe('pressing', () => {
  test('pressure, stress, strain and push force agree with the independent figures to 1e-9', () => {
    const { cases } =
      readReferenceJson<Cases<Record<string, number> & { expected: Record<string, number> }>>('press.json');
    for (const { expected, ...given } of cases) {
      const result = pressFit({
        interfaceMm: given.interface,
        outerMm: given.outer,
        boreMm: given.bore,
        interferenceMm: given.interference,
        hubModulusMPa: given.hubE,
        hubPoisson: given.hubNu,
        shaftModulusMPa: given.shaftE,
        shaftPoisson: given.shaftNu,
        lengthMm: given.length,
        friction: given.friction,
      });
      expect(result.pressureMPa / expected.pressure_MPa).toBeCloseTo(1, 9);
      expect(result.hubHoopMPa / expected.hubHoop_MPa).toBeCloseTo(1, 9);
      expect(result.hubStrain / expected.hubStrain).toBeCloseTo(1, 9);
      expect(result.pushN / expected.push_N).toBeCloseTo(1, 9);
    }
  });

  const FIT = {
    interfaceMm: 8,
    outerMm: 14,
    boreMm: 0,
    interferenceMm: 0.05,
    hubModulusMPa: 2100,
    hubPoisson: 0.4,
    shaftModulusMPa: 1e12,
    shaftPoisson: 0.3,
    lengthMm: 10,
    friction: 0.3,
  };

  test('on a rigid shaft the hub strain tends to interference over diameter', () => {
    expect(pressFit(FIT).hubStrain).toBeCloseTo(0.05 / 8, 8);
  });

  test('twice the interference is twice the pressure', () => {
    expect(pressFit({ ...FIT, interferenceMm: 0.1 }).pressureMPa).toBeCloseTo(
      2 * pressFit(FIT).pressureMPa,
      9,
    );
  });

  test('the worst interference decides: a brittle hub fails by strain where a tough one holds', () => {
    const spread = { low: 0.02, high: 0.08 };
    expect(judgePress(FIT, spread, { strengthMPa: 55, breakStrain: 0.03 }).holds).toBe('no');
    expect(judgePress(FIT, spread, { strengthMPa: 55, breakStrain: 0.4 }).holds).toBe('yes');
    expect(judgePress(FIT, { low: -0.1, high: -0.02 }, { strengthMPa: 55, breakStrain: 0.4 }).holds).toBe(
      'falls out',
    );
  });

  test('a bore not smaller than the interface is a programming error, not a pressure', () => {
    expect(() => pressFit({ ...FIT, boreMm: 8 })).toThrow(RangeError);
    expect(() => pressFit({ ...FIT, outerMm: 8 })).toThrow(RangeError);
  });
});

describe('snapping', () => {
  test('strain and forces agree with the independent figures to 1e-9', () => {
    const { cases } =
      readReferenceJson<Cases<Record<string, number> & { expected: Record<string, number> }>>('snap.json');
    for (const { expected, ...given } of cases) {
      const result = snapHook({
        lengthMm: given.length,
        thicknessMm: given.thickness,
        widthMm: given.width,
        deflectionMm: given.deflection,
        modulusMPa: given.modulus,
        friction: given.friction,
        leadRad: (given.leadDeg * Math.PI) / 180,
      });
      expect(result.strain / expected.strain).toBeCloseTo(1, 9);
      expect(result.deflectN / expected.deflect_N).toBeCloseTo(1, 9);
      expect(result.insertN / expected.insert_N).toBeCloseTo(1, 9);
    }
  });

  test('a slope whose friction locks cannot be pushed in', () => {
    const hook = {
      lengthMm: 12,
      thicknessMm: 1.6,
      widthMm: 4,
      deflectionMm: 0.7,
      modulusMPa: 2000,
      friction: 0.6,
    };
    expect(snapHook({ ...hook, leadRad: (60 * Math.PI) / 180 }).insertN).toBe(Infinity);
  });

  test('the shortest hook just reaches the strain allowed', () => {
    const allowed = allowedSnapStrain(0.06, 'repeated');
    const lengthMm = shortestHook(1.6, 0.7, allowed);
    const hook = {
      thicknessMm: 1.6,
      widthMm: 4,
      deflectionMm: 0.7,
      modulusMPa: 2000,
      friction: 0.3,
      leadRad: 0.5,
    };
    expect(snapHook({ ...hook, lengthMm }).strain).toBeCloseTo(0.02, 9);
  });
});

describe('ISO 286', () => {
  test('limits and clearances agree exactly with the independent examples', () => {
    const { examples } = readReferenceJson<{
      examples: {
        nominal_mm: number;
        fit: string;
        hole: object;
        shaft: object;
        clearance_um: object;
        kind: string;
      }[];
    }>('iso286.json');
    for (const { nominal_mm, fit, ...expected } of examples)
      expect(expectOk(isoFit(nominal_mm, fit))).toEqual(expected);
  });

  test('a size on a step belongs to the step it ends', () => {
    expect(standardTolerance_um(10, 7)).toBe(15);
    expect(standardTolerance_um(10.01, 7)).toBe(18);
  });

  test('what the tables do not hold is refused with its fact', () => {
    expect(isoFit(25, 'H7')).toEqual({ ok: false, issue: { code: 'notAFit', text: 'H7' } });
    expect(isoFit(25, 'G7/h6')).toEqual({ ok: false, issue: { code: 'holeLetter', letter: 'G' } });
    expect(isoFit(25, 'H7/s6')).toEqual({ ok: false, issue: { code: 'shaftLetter', letter: 's' } });
    expect(isoFit(25, 'H4/h6')).toMatchObject({ ok: false, issue: { code: 'grade', grade: 4 } });
    expect(isoFit(200, 'H7/h6')).toMatchObject({ ok: false, issue: { code: 'sizeBeyond' } });
    expect(isoFit(0, 'H7/h6')).toMatchObject({ ok: false, issue: { code: 'sizeBeyond' } });
  });
});

describe('classes, facets, tapers', () => {
  test('classes follow each other without a gap up to loose, and grow with the cube root of the diameter', () => {
    expect(wishedClearance('slide', 80)).toEqual({
      lowMm: expect.closeTo(0.12, 12),
      highMm: expect.closeTo(0.32, 12),
    });
    for (let i = 2; i < WISHES.length; i++)
      expect(wishedClearance(WISHES[i], 10).lowMm).toBe(wishedClearance(WISHES[i - 1], 10).highMm);
  });

  test('the middle of every class is called by its own name at every size', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...WISHES),
        fc.double({ min: 0.5, max: 200, noNaN: true }),
        (wish, diameter) => {
          const { lowMm, highMm } = wishedClearance(wish, diameter);
          expect(wishOfClearance((lowMm + highMm) / 2, diameter)).toBe(wish);
        },
      ),
    );
  });

  test('the sides advised are the fewest that keep the facet error under a tenth of the tolerance', () => {
    for (const [diameter, tolerance] of [
      [10, 0.1],
      [3, 0.05],
      [60, 0.2],
    ]) {
      const sides = sidesForTolerance(diameter, tolerance);
      expect(facetErrorMm(diameter, sides)).toBeLessThanOrEqual(tolerance / 10);
      expect(facetErrorMm(diameter, sides - 1)).toBeGreaterThan(tolerance / 10);
    }
  });

  test('any three sizes of a taper give the fourth', () => {
    const whole = expectOk(completeTaper({ largeMm: 10, smallMm: 9, heightMm: 5 }));
    const { largeMm, smallMm, heightMm, halfAngleRad } = whole;
    expect(Math.tan(halfAngleRad)).toBeCloseTo(0.1, 12);
    for (const known of [
      { smallMm, heightMm, halfAngleRad },
      { largeMm, heightMm, halfAngleRad },
      { largeMm, smallMm, halfAngleRad },
    ]) {
      const again = expectOk(completeTaper(known));
      expect(again.largeMm).toBeCloseTo(10, 9);
      expect(again.smallMm).toBeCloseTo(9, 9);
      expect(again.heightMm).toBeCloseTo(5, 9);
    }
  });

  test('a taper that eats the wall, turns round, or is not given by three sizes is refused', () => {
    expect(completeTaper({ largeMm: 4, heightMm: 10, halfAngleRad: 0.3 })).toMatchObject({
      issue: { code: 'taperEatsIt' },
    });
    expect(completeTaper({ largeMm: 8, smallMm: 9, heightMm: 5 })).toEqual({
      ok: false,
      issue: { code: 'taperTurned' },
    });
    expect(completeTaper({ largeMm: 8, smallMm: 9 })).toEqual({ ok: false, issue: { code: 'threeOfFour' } });
  });

  test('a lead-in never takes more than a quarter of the wall nor a third of the length', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 80, noNaN: true }),
        fc.double({ min: 0.2, max: 20, noNaN: true }),
        (length, wall) => {
          const { depthMm, lengthMm } = leadInFor(length, wall);
          expect(depthMm).toBeLessThanOrEqual(wall / 4 + 1e-12);
          expect(lengthMm).toBeLessThanOrEqual(length / 3 + 1e-12);
        },
      ),
    );
  });
});

describe('chains', () => {
  test('the worst case adds, the likely case adds squares, and the largest tolerance has the largest share', () => {
    const chain = sizeChain([
      { name: 'frame', direction: 1, sizeMm: 20, halfMm: 0.1 },
      { name: 'stack', direction: -1, sizeMm: 19.5, halfMm: 0.2 },
    ]);
    expect(chain.gapMm).toBeCloseTo(0.5, 12);
    expect(chain.worstMm).toBeCloseTo(0.3, 12);
    expect(chain.likelyMm).toBeCloseTo(Math.sqrt(0.05), 12);
    expect(chain.shares[0]).toEqual({ name: 'stack', share: expect.closeTo(0.8, 12) });
  });
});

describe('fastening', () => {
  const m3 = NUTS.find(({ thread }) => thread === 'M3')!;

  test('a hot insert is refused in every resin, with its reason', () => {
    for (const breakStrain of [0.03, 0.2, 0.6]) {
      const last = adviseFastening({ nut: m3, breakStrain, undone: 'sometimes', bothSides: true }).find(
        ({ way }) => way === 'hotInsert',
      )!;
      expect(last).toMatchObject({ rank: 0, reasons: ['doesNotMelt'] });
    }
  });

  test('a brittle resin is not tapped and gets the thicker boss', () => {
    const advice = adviseFastening({ nut: m3, breakStrain: 0.03, undone: 'never', bothSides: false });
    expect(advice[0].way).toBe('nutPocket');
    expect(advice.find(({ way }) => way === 'tappedThread')!.rank).toBe(0);
    expect(advice.find(({ way }) => way === 'throughBolt')!.reasons).toEqual(['cannotReach']);
    expect(bossWall(6, 0.03)).toBeGreaterThan(bossWall(6, 0.4));
  });

  test('a nut pocket is wider than the nut, and its boss clears the corners', () => {
    for (const nut of NUTS) {
      const { sizes } = adviseFastening({ nut, breakStrain: 0.3, undone: 'often', bothSides: false })[0];
      const mm = Object.fromEntries(sizes.map((size) => [size.what, size.mm]));
      expect(mm.acrossFlats).toBeGreaterThan(nut.flatsMm);
      expect(mm.bossOuter).toBeGreaterThan(nut.cornersMm + 2);
      expect(mm.hole).toBe(nut.mediumHoleMm);
      // A regular hexagon: corners are 2/√3 of the flats; the standard's least e allows for rounded corners.
      expect(nut.cornersMm / nut.flatsMm).toBeGreaterThan(1.07);
      expect(nut.cornersMm / nut.flatsMm).toBeLessThan(2 / Math.sqrt(3));
    }
  });

  test('bearings of the small series have room for balls', () => {
    for (const { boreMm, outerMm, widthMm } of BEARINGS) {
      expect(outerMm - boreMm).toBeGreaterThan(6);
      expect(widthMm).toBeLessThan(outerMm / 2);
    }
  });
});
