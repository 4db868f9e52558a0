import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { readReferenceJson } from '@/testing/reference';
import {
  answersForLayer,
  convertExposure,
  depthAt,
  edgeAt,
  edgeCurve,
  edgeOfWall,
  equalOvercure,
  fitWorkingCurve,
  leastExposure,
  learnEdgeLaw,
  slopeOf,
  type Strip,
  thickestLayer,
  stepOfExposureChange,
  zeroRatio,
} from '../index';

interface Curve {
  readonly strips: { readonly exposure: readonly number[]; readonly depth_mm: readonly number[] };
  readonly expected: { readonly Dp_mm: number; readonly Ec: number };
  readonly newLayer: readonly Readonly<Record<'t1' | 'h1' | 'h2' | 'Dp' | 't2', number>>[];
}
interface Second {
  readonly strips: Curve['strips'] & {
    readonly u_mm: number;
    readonly bias_mm: number;
    readonly expected: Readonly<Record<'Dp_mm' | 'Dp_sd_mm' | 'Ec' | 'lnEc_sd', number>>;
  };
  readonly trim: readonly {
    readonly t0_s: number;
    readonly prior: { readonly mean: number; readonly sd: number };
    readonly observations: readonly Readonly<Record<'t_s' | 'edge_mm' | 'sd_mm', number>>[];
    readonly expected: {
      readonly edge_mm: { readonly mean: number; readonly sd: number };
      readonly slope_mm: { readonly mean: number; readonly sd: number };
      readonly ratio: { readonly median: number; readonly low: number; readonly high: number };
    };
  }[];
}

const light = readReferenceJson<Curve>('light.json');
const second = readReferenceJson<Second>('light-2.json');
const stripsOf = ({ exposure, depth_mm }: Curve['strips'], uMm?: number): Strip[] =>
  exposure.map((each, i) => ({ exposure: each, depthMm: depth_mm[i], uMm }));
const near = (value: number, wanted: number, share: number) =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(share);

describe('the working curve', () => {
  test('D_p and E_c of independently computed strips', () => {
    const curve = expectOk(fitWorkingCurve(stripsOf(light.strips), () => 0));
    near(curve.dpMm, light.expected.Dp_mm, 1e-9);
    near(Math.exp(curve.lnEc), light.expected.Ec, 1e-9);
  });

  test('and their sd, the caliper’s bias shared by all', () => {
    const { expected, u_mm, bias_mm } = second.strips;
    const curve = expectOk(fitWorkingCurve(stripsOf(second.strips, u_mm), () => bias_mm));
    near(curve.dpMm, expected.Dp_mm, 1e-9);
    near(curve.dpSdMm, expected.Dp_sd_mm, 1e-6);
    near(Math.exp(curve.lnEc), expected.Ec, 1e-9);
    near(curve.lnEcSd, expected.lnEc_sd, 1e-6);
  });

  test('strips of two calipers: each its own bias, so together they know more of where it begins', () => {
    const strips = stripsOf(second.strips, 0.005);
    const alone = expectOk(fitWorkingCurve(strips, () => 0.0115));
    const mixed = strips.map((strip, i) => ({ ...strip, instrument: i % 2 === 0 ? 'a' : 'b' }));
    const two = expectOk(fitWorkingCurve(mixed, () => 0.0115));
    expect(two.lnEcSd).toBeLessThan(alone.lnEcSd);
    expect(two.dpSdMm).toBeGreaterThan(alone.dpSdMm);
    // Without any bias it is the same who read what.
    const sure = (given: readonly Strip[]) => expectOk(fitWorkingCurve(given, () => 0)).dpMm;
    near(sure(mixed), sure(strips), 1e-12);
  });

  test('covers the truth of 1000 simulated sets as often as it says', () => {
    const random = seededRandom(17);
    let inside = 0;
    for (let i = 0; i < 1000; i++) {
      const bias = 0.0115 * random.normal();
      const strips = [6, 9, 13, 19, 28, 40].map((exposure) => ({
        exposure,
        depthMm: 0.15 * Math.log(exposure / 4) + bias + 0.01 * random.normal(),
      }));
      const { mm, sdMm } = depthAt(expectOk(fitWorkingCurve(strips, () => 0.0115)), 15);
      if (Math.abs(mm - 0.15 * Math.log(15 / 4)) < 1.96 * sdMm) inside++;
    }
    // 950 ± 7, four of its sd apart.
    expect(Math.abs(inside - 950)).toBeLessThan(28);
  });

  test.each([
    ['one strip', [{ exposure: 8, depthMm: 0.1 }], 'tooFewStrips'],
    [
      'strips all alike',
      [
        { exposure: 8, depthMm: 0.1 },
        { exposure: 8, depthMm: 0.11 },
      ],
      'tooFewStrips',
    ],
    [
      'a curve that falls',
      [
        { exposure: 8, depthMm: 0.2 },
        { exposure: 16, depthMm: 0.1 },
      ],
      'curveFalls',
    ],
    [
      'a depth of nothing',
      [
        { exposure: 8, depthMm: 0 },
        { exposure: 16, depthMm: 0.1 },
      ],
      'nothingCured',
    ],
    [
      'exposure 0',
      [
        { exposure: 0, depthMm: 0.1 },
        { exposure: 16, depthMm: 0.1 },
      ],
      'badExposure',
    ],
    [
      'an hour',
      [
        { exposure: 3600, depthMm: 0.1 },
        { exposure: 16, depthMm: 0.1 },
      ],
      'badExposure',
    ],
    [
      'no uncertainty',
      [
        { exposure: 8, depthMm: 0.1, uMm: 0 },
        { exposure: 16, depthMm: 0.2 },
      ],
      'badUncertainty',
    ],
  ] as const)('%s is refused', (_, strips, code) => {
    expect(fitWorkingCurve(strips, () => 0.01)).toMatchObject({ ok: false, issue: { code } });
  });
});

describe('another layer height', () => {
  test('equal overcure as computed elsewhere', () => {
    for (const { t1, h1, h2, Dp, t2 } of light.newLayer)
      near(equalOvercure({ exposureS: t1, fromMm: h1, toMm: h2, dpMm: Dp }), t2, 1e-9);
  });

  test('each rule with its seconds, overcure and growth; the interval holds the computed one', () => {
    const change = { exposureS: 2.4, fromMm: 0.05, toMm: 0.03, dpMm: 0.15, dpSdMm: 0.02, lnEc: 0 };
    const answers = answersForLayer({ ...change, supplierS: 2 });
    expect(answers.map(({ rule }) => rule)).toEqual([
      'overcure',
      'tenth',
      'proportion',
      'supplier',
      'unchanged',
    ]);
    const [overcure, tenth, proportion, , unchanged] = answers;
    expect(tenth.exposureS).toBeCloseTo(2.16, 12);
    expect(proportion.exposureS).toBeCloseTo(1.44, 12);
    // As deep below the layer as before.
    expect(overcure.overcureMm).toBeCloseTo(0.15 * Math.log(2.4) - 0.05, 12);
    expect(unchanged.overcureMm).toBeCloseTo(0.15 * Math.log(2.4) - 0.03, 12);
    expect(unchanged.edgeMm.median).toBe(0);
    expect(proportion.edgeMm.median).toBeCloseTo(0.045 * Math.log(0.6), 12);
    expect(proportion.edgeMm.low).toBeLessThan(proportion.edgeMm.median);
    const [low, high] = overcure.intervalS!;
    expect(low).toBeLessThan(overcure.exposureS);
    expect(high).toBeGreaterThan(overcure.exposureS);
  });

  test('the thickest layer takes four times the exposure', () => {
    const toMm = thickestLayer({ fromMm: 0.05, dpMm: 0.145 });
    expect(equalOvercure({ exposureS: 2.4, fromMm: 0.05, toMm, dpMm: 0.145 })).toBeCloseTo(9.6, 9);
  });
});

describe('another machine', () => {
  test('a monochrome panel takes a third to a sixth; the middle is geometric, the bottom goes along', () => {
    const { low, middle, high, bottom, by } = convertExposure(
      { exposureS: 9, bottomExposureS: 60 },
      { engine: 'colour' },
      { engine: 'mono' },
    );
    expect([low, high]).toEqual([1.5, 3]);
    expect(middle).toBeCloseTo(Math.sqrt(4.5), 12);
    expect(bottom!.low).toBeCloseTo(10, 12);
    expect(by).toBe('engines');
  });

  test('back and forth encloses where it began', () => {
    const there = convertExposure({ exposureS: 8 }, { engine: 'colour' }, { engine: 'mono' });
    const back = convertExposure({ exposureS: there.middle }, { engine: 'mono' }, { engine: 'colour' });
    expect(back.middle).toBeCloseTo(8, 9);
  });

  test('measured irradiance narrows it to what meters agree to', () => {
    const { low, high, by } = convertExposure(
      { exposureS: 2 },
      { engine: 'mono', irradiance: 4 },
      { engine: 'projector', irradiance: 2 },
    );
    expect([low, high, by]).toEqual([4 / 1.2, 4.8, 'irradiance']);
  });
});

describe('trimming the exposure', () => {
  test.each(second.trim.map((each, i) => [i, each] as const))(
    'posterior %d as computed elsewhere',
    (_, { t0_s, prior, observations, expected }) => {
      const law = expectOk(
        learnEdgeLaw({
          exposureS: t0_s,
          prior,
          observations: observations.map(({ t_s, edge_mm, sd_mm }) => ({
            exposureS: t_s,
            edgeMm: edge_mm,
            sdMm: sd_mm,
          })),
        }),
      );
      const edge = edgeAt(law, t0_s);
      const slope = slopeOf(law);
      // 2 % of the sd, as the reference asks.
      expect(Math.abs(edge.mean - expected.edge_mm.mean)).toBeLessThan(0.02 * expected.edge_mm.sd);
      expect(Math.abs(slope.mean - expected.slope_mm.mean)).toBeLessThan(0.02 * expected.slope_mm.sd);
      near(edge.sd, expected.edge_mm.sd, 0.02);
      near(slope.sd, expected.slope_mm.sd, 0.02);
      const ratio = zeroRatio(law);
      const spread = expected.ratio.high - expected.ratio.low;
      for (const name of ['median', 'low', 'high'] as const)
        expect(Math.abs(ratio[name] - expected.ratio[name])).toBeLessThan(0.01 * spread);
    },
  );

  test('a longer exposure grows edges; strips that know where they would not narrow the slope', () => {
    const ask = {
      exposureS: 2.4,
      prior: { mean: 0.03, sd: 0.05 },
      observations: [{ exposureS: 2.4, edgeMm: 0.06, sdMm: 0.008 }],
    };
    const alone = expectOk(learnEdgeLaw(ask));
    expect(edgeAt(alone, 3).mean).toBeGreaterThan(edgeAt(alone, 2.4).mean);
    expect(edgeAt(alone, 1.2).sd).toBeGreaterThan(edgeAt(alone, 2.4).sd);
    const withStrips = expectOk(learnEdgeLaw({ ...ask, zeroNear: { lnS: Math.log(0.8), sdLn: 0.2 } }));
    expect(slopeOf(withStrips).sd).toBeLessThan(0.6 * slopeOf(alone).sd);
    expect(Math.abs(Math.log(zeroRatio(withStrips).median * 3))).toBeLessThan(0.2);
  });

  test('the curve of a chart passes through the present exposure, and shows where edges are true', () => {
    const law = expectOk(
      learnEdgeLaw({
        exposureS: 2.4,
        prior: { mean: 0.05, sd: 0.002 },
        observations: [],
        zeroNear: undefined,
      }),
    );
    const curve = edgeCurve(law);
    const exposures = curve.map(({ exposureS }) => exposureS);
    expect(exposures).toEqual([...exposures].sort((a, b) => a - b));
    for (const { exposureS, ...edge } of curve) expect(edge).toEqual(edgeAt(law, exposureS));
    const trueS = 2.4 * zeroRatio(law).median;
    expect(exposures[0]).toBeLessThan(trueS);
    expect(exposures.at(-1)).toBeCloseTo(1.6 * 2.4, 9);
    // Growth rises with the exposure, from below zero to above it.
    expect(curve[0].mean).toBeLessThan(0);
    expect(curve.at(-1)!.mean).toBeGreaterThan(curve[0].mean);
  });

  test('true edges a hundred times away are not shown', () => {
    const far = expectOk(
      learnEdgeLaw({ exposureS: 2, prior: { mean: 0.4, sd: 0.001 }, observations: [], zeroNear: undefined }),
    );
    expect(edgeCurve(far)[0].exposureS).toBeCloseTo(0.5, 9);
  });

  test('one step goes no further than −25 % or +33 %, and never below what holds', () => {
    expect(stepOfExposureChange(2.4, 0.5)).toMatchObject({ ratio: 0.75, limitedBy: 'step' });
    expect(stepOfExposureChange(2.4, 2)).toMatchObject({ ratio: 1.33, limitedBy: 'step' });
    expect(stepOfExposureChange(2.4, 0.9)).toEqual({
      exposureS: 2.4 * 0.9,
      ratio: 0.9,
      limitedBy: undefined,
    });
    const least = leastExposure({ dpMm: 0.15, lnEc: Math.log(1.3) }, 0.05);
    expect(least).toBeCloseTo(1.3 * Math.exp(0.5), 12);
    expect(stepOfExposureChange(2.4, 0.8, least)).toMatchObject({ exposureS: least, limitedBy: 'depth' });
    expect(stepOfExposureChange(1, 0.8, 5)).toMatchObject({ exposureS: 1.33, limitedBy: 'depth' });
  });

  test.each([
    [{ exposureS: 0 }, 'badExposure'],
    [{ exposureS: 3600 }, 'badExposure'],
    [{ prior: { mean: 0, sd: 0 } }, 'badSd'],
    [{ observations: [{ exposureS: 2, edgeMm: 0.1, sdMm: -1 }] }, 'badSd'],
    [{ observations: [{ exposureS: 2, edgeMm: Number.NaN, sdMm: 1 }] }, 'badEdge'],
  ] as const)('%j is refused', (change, code) => {
    const ask = { exposureS: 2.4, prior: { mean: 0.03, sd: 0.05 }, observations: [], ...change };
    expect(learnEdgeLaw(ask)).toMatchObject({ ok: false, issue: { code } });
  });
});

describe('one wall that came out thick', () => {
  const doubts = { shrinkMean: -0.003, shrinkSd: 0.004, ownSdMm: 0.026, sharedSdMm: 0 };

  test('is half of what it is thicker than drawn and shrunk, unsure by its habit', () => {
    const { edgeMm, sdMm } = expectOk(edgeOfWall({ drawnMm: 2, readMm: 2.12 }, doubts, 2.4));
    expect(edgeMm).toBeCloseTo((2.12 - 2 * 0.997) / 2, 12);
    expect(sdMm).toBeCloseTo(Math.hypot(0.026, 0.008) / 2, 12);
  });

  test('three of them know more, but not what all share; a thick wall says less than a thin one', () => {
    const sdOf = (drawnMm: number, walls?: number) =>
      expectOk(edgeOfWall({ drawnMm, readMm: drawnMm + 0.1 }, doubts, 2.4, walls)).sdMm;
    expect(sdOf(2, 3)).toBeLessThan(0.7 * sdOf(2));
    expect(sdOf(2, 1e6)).toBeGreaterThan(0.9 * 0.004);
    expect(sdOf(20)).toBeGreaterThan(2 * sdOf(2));
  });

  test('moves the trim less than a block does', () => {
    const prior = { mean: 0.03, sd: 0.05 };
    const wall = expectOk(edgeOfWall({ drawnMm: 2, readMm: 2.12 }, doubts, 2.4));
    const sdWith = (sdMm: number) =>
      edgeAt(expectOk(learnEdgeLaw({ exposureS: 2.4, prior, observations: [{ ...wall, sdMm }] })), 2.4).sd;
    expect(sdWith(wall.sdMm)).toBeLessThan(prior.sd);
    expect(sdWith(wall.sdMm)).toBeGreaterThan(1.5 * sdWith(0.006));
  });

  test.each([
    [{ drawnMm: 0, readMm: 2 }, 'notPositive'],
    [{ drawnMm: 2, readMm: 0 }, 'notPositive'],
    [{ drawnMm: 0.4, readMm: 2 }, 'otherSize'],
    [{ drawnMm: 20, readMm: 2 }, 'otherSize'],
  ] as const)('%j is refused', (read, code) => {
    expect(edgeOfWall(read, doubts, 2.4)).toMatchObject({ ok: false, issue: { code } });
  });
});
