import { describe, expect, test } from '@jest/globals';
import { readReferenceJson } from '@/testing/reference';
import { lawPrior, PARAMETER_COUNT, PARAMETER_NAMES } from '../law';
import {
  checkShares,
  contradiction,
  DEFAULT_SHARES,
  type Kin,
  priorFromRelatedProfiles,
  weightOfRelatedProfiles,
} from '../related-profiles';

interface ReferenceCases {
  readonly share: Readonly<Record<'printer' | 'resin' | 'lot', readonly number[]>>;
  readonly cases: readonly {
    readonly new: Kin;
    readonly relatives: readonly {
      readonly who: Kin;
      readonly mean: number[];
      readonly covariance: number[][];
    }[];
    readonly expected: {
      readonly mean: number[];
      readonly sd: number[];
      readonly covariance: number[][];
    };
  }[];
}

const { cases, share } = readReferenceJson<ReferenceCases>('relatives.json');
const diagonal = (covariance: Float64Array, at: number) => covariance[at * PARAMETER_COUNT + at];

test('the shares we start with are those of the reference', () => {
  PARAMETER_NAMES.forEach((name, i) => {
    const { printer, resin, both } = DEFAULT_SHARES[name];
    expect([printer, resin, both]).toEqual([share.printer[i], share.resin[i], share.lot[i]]);
  });
});

describe.each(cases.map((each, i) => [i + 1, each] as const))('reference relatives %d', (_, given) => {
  const relatives = given.relatives.map(({ who, mean, covariance }) => ({
    kin: who,
    mean,
    covariance: covariance.flat(),
  }));
  const prior = priorFromRelatedProfiles(given.new, relatives);

  test('mean and covariance lie within a millionth of the sd', () => {
    given.expected.mean.forEach((mean, i) => {
      const sd = given.expected.sd[i];
      expect(Math.abs(prior.mean[i] - mean)).toBeLessThan(1e-6 * sd);
      expect(Math.abs(Math.sqrt(diagonal(prior.covariance, i)) - sd)).toBeLessThan(1e-6 * sd);
      given.expected.covariance[i].forEach((value, j) => {
        const scale = sd * given.expected.sd[j];
        expect(Math.abs(prior.covariance[i * PARAMETER_COUNT + j] - value)).toBeLessThan(1e-6 * scale);
      });
    });
  });

  test('relatives narrow, and never more than their share', () => {
    const own = lawPrior();
    PARAMETER_NAMES.forEach((_name, i) => {
      expect(diagonal(prior.covariance, i)).toBeLessThanOrEqual(diagonal(own.covariance, i) * (1 + 1e-12));
      expect(diagonal(prior.covariance, i)).toBeGreaterThan(0.04 * diagonal(own.covariance, i));
    });
  });
});

const [
  {
    relatives: [lent],
  },
] = cases;
const relative = { kin: lent.who, mean: lent.mean, covariance: lent.covariance.flat() };

test('a stranger lends nothing, and no relatives give the prior', () => {
  const own = lawPrior();
  expect(priorFromRelatedProfiles({ printer: 'A', resin: 'R2' }, [], own)).toBe(own);
  const prior = priorFromRelatedProfiles({ printer: 'Z', resin: 'R9' }, [relative]);
  prior.mean.forEach((mean, i) => expect(mean).toBeCloseTo(own.mean[i], 12));
  prior.covariance.forEach((value, at) => expect(value).toBeCloseTo(own.covariance[at], 12));
});

test('a signature from another shop moves the prior about half as much', () => {
  const kin = { printer: 'A', resin: 'R2' };
  const own = lawPrior();
  const [ours, theirs] = [false, true].map((foreign) =>
    priorFromRelatedProfiles(kin, [{ ...relative, foreign }]),
  );
  // Little is left unknown of the related profile, so the mean moves by its share.
  const moved = (prior: typeof own, i: number) => prior.mean[i] - own.mean[i];
  const skew = PARAMETER_NAMES.indexOf('skew');
  expect(moved(theirs, skew) / moved(ours, skew)).toBeCloseTo(0.5, 1);
});

test('a relative that knows less than its prior in some direction takes nothing away there', () => {
  const vague = relative.covariance.slice();
  const edge = PARAMETER_NAMES.indexOf('edge');
  vague[edge * PARAMETER_COUNT + edge] = 0.0026;
  const prior = priorFromRelatedProfiles({ printer: 'A', resin: 'R2' }, [{ ...relative, covariance: vague }]);
  const own = lawPrior();
  PARAMETER_NAMES.forEach((_, i) =>
    expect(diagonal(prior.covariance, i)).toBeLessThanOrEqual(diagonal(own.covariance, i) * (1 + 1e-9)),
  );
});

test('shares that together exceed what both have in common are refused, by name', () => {
  const table = { ...DEFAULT_SHARES, edge: { printer: 0.6, resin: 0.5, both: 0.95 } };
  expect(checkShares(table)).toEqual({ ok: false, issue: { code: 'sharesTooLarge', parameter: 'edge' } });
  expect(checkShares(DEFAULT_SHARES).ok).toBe(true);
});

test('a law far from what relatives foretold is told by its distance', () => {
  const prior = priorFromRelatedProfiles({ printer: 'A', resin: 'R1' }, [relative]);
  const narrow = prior.covariance.map((value) => value * 0.25);
  expect(contradiction(prior, prior.mean, narrow)).toBeCloseTo(0, 9);
  const edge = PARAMETER_NAMES.indexOf('edge');
  const far = prior.mean.slice();
  far[edge] += 5 * Math.sqrt(diagonal(prior.covariance, edge)) * Math.sqrt(PARAMETER_COUNT);
  expect(contradiction(prior, far, narrow)).toBeGreaterThan(3);
});

test('the weight of relatives is their share of the information beyond the prior', () => {
  const half = { priorSd: 0.05, lentSd: 0.025, sd: 0.01 };
  // 1200 of 9600 more than the prior's 400.
  expect(weightOfRelatedProfiles([half])).toBeCloseTo(0.125, 12);
  const alone = { priorSd: 0.05, lentSd: 0.02, sd: 0.02 };
  expect(weightOfRelatedProfiles([half, alone])).toBeCloseTo((0.125 + 1) / 2, 12);
  // Parameters without any information do not count.
  expect(weightOfRelatedProfiles([half, { priorSd: 1, lentSd: 1, sd: 1 }])).toBeCloseTo(0.125, 12);
  expect(weightOfRelatedProfiles([])).toBe(0);
});
