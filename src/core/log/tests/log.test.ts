import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { tellStory } from '@/testing/log';
import { readReferenceJson } from '@/testing/reference';
import {
  afterTest,
  areDifferent,
  bitsOf,
  type ByCause,
  type CauseAsk,
  chanceAbove,
  costedTests,
  filmDueFrom,
  filmRisk,
  holm,
  jeffreysInterval,
  learnCommonShare,
  learnFilm,
  namedCause,
  permutationTest,
  type PlacesOfPrint,
  pooledRates,
  posteriorOf,
  powerOfSamePlace,
  rankTest,
  rankTests,
  readFailure,
  samePlace,
  TEST_TABLE,
  type TestTable,
  whereItFails,
  wilsonInterval,
} from '../index';

interface Reference {
  readonly place: readonly {
    readonly prints: readonly PlacesOfPrint[];
    readonly expected: { readonly statistic_mm: number; readonly arrangements: number; readonly p: number };
  }[];
  readonly cause: readonly {
    readonly prior: ByCause;
    readonly table: Readonly<Record<string, ByCause>>;
    readonly evidence: Readonly<Record<string, boolean>>;
    readonly tests: Readonly<Record<string, TestTable>>;
    readonly expected: { readonly posterior: ByCause; readonly bits: Readonly<Record<string, number>> };
  }[];
}

const reference = readReferenceJson<Reference>('log.json');

/** A plate of places in rows, some of which failed. */
function plateOf(failed: readonly number[], shift = 0): PlacesOfPrint {
  const places = Array.from({ length: 12 }, (_, i) => [20 * (i % 4) + shift, 20 * Math.floor(i / 4)]);
  return { places, failed };
}

describe('same place', () => {
  test.each(reference.place.map((each, i) => [i, each] as const))('the reference holds: %i', (_, each) => {
    const { statistic, arrangements, p, isExact } = expectOk(samePlace(each.prints));
    expect(statistic).toBeCloseTo(each.expected.statistic_mm, 9);
    expect(arrangements).toBe(each.expected.arrangements);
    expect(p).toBeCloseTo(each.expected.p, 12);
    expect(isExact).toBe(true);
  });

  test('past counting it is drawn, by a seed, and says nearly the same', () => {
    const prints = [0, 1, 2, 3].map((shift) => plateOf([0, 1, 5, 7], shift));
    const drawn = expectOk(samePlace(prints));
    expect(drawn.isExact).toBe(false);
    expect(drawn.arrangements).toBe(495 ** 4);
    expect(expectOk(samePlace(prints))).toEqual(drawn);
    expect(Math.abs(expectOk(samePlace(prints, 2)).p - drawn.p)).toBeLessThan(0.01);
  });

  test('p-values are uniform under chance, over 2 000 simulated benches', () => {
    const { uniform } = seededRandom(7);
    const ps = Array.from({ length: 2000 }, () => {
      const prints = [0, 1, 2].map(() => ({
        places: Array.from({ length: 6 }, () => [100 * uniform(), 60 * uniform()]),
        failed: [Math.floor(6 * uniform())],
      }));
      return expectOk(samePlace(prints)).p;
    });
    for (const level of [0.05, 0.2, 0.5, 0.8]) {
      const share = ps.filter((p) => p <= level).length / ps.length;
      expect(Math.abs(share - level)).toBeLessThan(3 * Math.sqrt((level * (1 - level)) / ps.length) + 0.01);
    }
  });

  test('a true spot is told the more often the more prints failed', () => {
    const power = (prints: number) =>
      powerOfSamePlace(Array.from({ length: prints }, (_, i) => plateOf([i % 12], i)));
    expect(power(2)).toBeLessThan(power(4));
    expect(power(4)).toBeGreaterThan(0.9);
    expect(power(1)).toBe(0);
  });

  test.each([
    [[plateOf([0]), plateOf([12])], { code: 'noSuchPlace', print: 1, at: 12 }],
    [[plateOf([0]), plateOf([3, 3])], { code: 'twice', print: 1, at: 3 }],
    [[plateOf([0]), { places: [[0, NaN]], failed: [0] }], { code: 'badPlace', print: 1, at: 0 }],
    [[plateOf([0, 1]), plateOf([])], { code: 'tooFew', failures: 2, prints: 1 }],
  ])('what cannot be is refused: %#', (prints, issue) => {
    expect(samePlace(prints)).toEqual({ ok: false, issue });
  });
});

describe('where failures come together', () => {
  const areasMm2 = Array.from({ length: 60 }, (_, i) => (i === 30 ? 400 : 100));

  test('at one place of the plate, and nowhere on the part', () => {
    const plate = [0, 1, 2, 3].map((shift) => plateOf([5], shift));
    const part = [3, 8, 1, 11].map((at) => plateOf([at]));
    const { verdict, tests } = whereItFails({ plate, part });
    expect(verdict).toEqual({ code: 'told', common: ['plate'] });
    expect(tests[0]).toMatchObject({ common: 'plate', isExact: true });
    expect(tests[0].adjusted).toBeGreaterThan(tests[0].p);
  });

  test('of many prints, where most crowd at one place and one does not', () => {
    const corners = [
      [0, 0],
      [60, 0],
      [0, 40],
      [60, 40],
    ];
    const plate = [0, 0, 0, 3, 0, 0, 0, 0].map((at, i) => ({
      places: corners.map(([x, y]) => [x + i, y]),
      failed: [at],
    }));
    // Each has a near one by chance: nearest distances tell nothing of it, the crowd does.
    expect(expectOk(samePlace(plate)).p).toBeGreaterThan(0.2);
    const { verdict, tests } = whereItFails({ plate });
    expect(verdict).toEqual({ code: 'told', common: ['plate'] });
    // Seven or eight of eight at one of four corners: 4·(1 + 8·3)/4⁸.
    expect(tests[0].p).toBeCloseTo(100 / 4 ** 8, 12);
  });

  test('at one height of several prints, where the area jumps', () => {
    const layers = [30, 30, 31].map((layer) => ({ areasMm2, layerMm: 0.05, failed: [layer] }));
    const { verdict, tests } = whereItFails({ layers });
    expect(verdict.code).toBe('told');
    expect(tests.map(({ common }) => common)).toContain('height');
    expect(tests.find(({ common }) => common === 'jump')!.p).toBeLessThan(0.05);
  });

  test.each([4, 24])(
    'layers of %d tall prints are asked together: all pairs of them would not fit in memory',
    (prints) => {
      const areasMm2 = new Array<number>(8000).fill(100);
      const layers = Array.from({ length: prints }, (_, i) => ({
        areasMm2,
        layerMm: 0.05,
        failed: [1800 + i],
      }));
      const { verdict } = whereItFails({ layers });
      expect(verdict).toEqual({ code: 'told', common: ['height'] });
    },
  );

  test('at the edge of the plate', () => {
    const plate = [0, 3, 8].map((at, i) => {
      const { places } = plateOf([], i);
      return { places: places.map(([x, y]) => [x - 30, y - 20]), failed: [at] };
    });
    const { tests } = whereItFails({ plate, halfPlateMm: [60, 30] });
    // Eight of twelve places lie at an edge.
    expect(tests.find(({ common }) => common === 'edge')!.p).toBeCloseTo((8 / 12) ** 3, 9);
  });

  test('two failures are too few; scattered ones are not told, with how often a spot would have been', () => {
    expect(whereItFails({ plate: [plateOf([0]), plateOf([1])] }).verdict).toEqual({
      code: 'tooFew',
      failures: 2,
    });
    const { verdict } = whereItFails({ plate: [0, 11, 3, 8].map((at, i) => plateOf([at], i)) });
    expect(verdict).toMatchObject({ code: 'notTold' });
    expect((verdict as { power: number }).power).toBeGreaterThan(0.9);
  });

  test('ranks: ties share theirs, and without a failure there is no answer', () => {
    const values = [1, 1, 1, 9];
    expect(rankTest([{ values, failed: [3] }], 'high')!.p).toBeCloseTo(0.25, 12);
    expect(rankTest([{ values, failed: [0] }], 'low')!.p).toBeCloseTo(0.75, 12);
    expect(rankTest([{ values, failed: [] }], 'low')).toBeUndefined();
  });

  test('several questions at once are corrected, in order', () => {
    const [a, b, c] = holm([0.04, 0.01, 0.03]);
    [a, b, c].forEach((p, i) => expect(p).toBeCloseTo([0.06, 0.03, 0.06][i], 12));
    expect(holm([])).toEqual([]);
  });

  test('a hundred failures in one print and one in another are past counting, and answered', () => {
    const places = Array.from({ length: 200 }, (_, i) => [i % 20, Math.floor(i / 20)]);
    const many = { places, failed: Array.from({ length: 100 }, (_, i) => 2 * i) };
    const { p, isExact } = permutationTest(
      [many, plateOf([1])].map(({ places: own, failed }) => ({ size: own.length, failed })),
      (chosen) => chosen[0].length,
    );
    expect([p, isExact]).toEqual([1, false]);
  });
});

describe('causes', () => {
  test.each(reference.cause.map((each, i) => [i, each] as const))('the reference holds: %i', (_, each) => {
    const { chances } = expectOk(posteriorOf(each));
    for (const [cause, p] of Object.entries(each.expected.posterior))
      expect(chances[cause]).toBeCloseTo(p, 12);
    for (const [name, bits] of Object.entries(each.expected.bits))
      expect(bitsOf(chances, each.tests[name])).toBeCloseTo(bits, 12);
  });

  const [{ prior, table, tests }] = reference.cause;

  test('evidence of one group counts once, the most telling one; reasons come in that order', () => {
    const evidence = { samePlaceOnPlate: true, samePlaceOnPart: false };
    const groups = { samePlaceOnPlate: 'place', samePlaceOnPart: 'place' };
    const grouped = expectOk(posteriorOf({ prior, table, evidence, groups }));
    expect(grouped.reasons.map(({ evidence: name }) => name)).toEqual(['samePlaceOnPlate']);
    const alone = expectOk(posteriorOf({ prior, table, evidence: { samePlaceOnPlate: true } }));
    expect(grouped.chances).toEqual(alone.chances);
    const both = expectOk(posteriorOf({ prior, table, evidence }));
    expect(both.reasons).toHaveLength(2);
    expect(both.chances.film).toBeGreaterThan(alone.chances.film);
  });

  test('a zero makes a cause impossible; where none is left the evidence contradicts itself', () => {
    const zero = { a: { film: 0, cold: 0.5 }, b: { film: 0.5, cold: 1 } };
    const ask = { prior: { film: 0.5, cold: 0.5 }, table: zero };
    expect(expectOk(posteriorOf({ ...ask, evidence: { a: true } })).chances.film).toBe(0);
    expect(posteriorOf({ ...ask, evidence: { a: true, b: false } })).toEqual({
      ok: false,
      issue: { code: 'impossible' },
    });
  });

  test.each([
    [{ prior: {}, table, evidence: {} }, { code: 'noCause' }],
    [
      { prior: { film: -1 }, table, evidence: {} },
      { code: 'badPrior', cause: 'film' },
    ],
    [{ prior: { film: 0 }, table, evidence: {} }, { code: 'impossible' }],
    [
      { prior, table, evidence: { moon: true } },
      { code: 'unknownEvidence', evidence: 'moon' },
    ],
    [
      { prior, table: { wind: { ...prior, film: 1.5 } }, evidence: { wind: true } },
      { code: 'badChance', evidence: 'wind', cause: 'film' },
    ],
  ])('what cannot be is refused: %#', (ask, issue) => {
    expect(posteriorOf(ask as CauseAsk)).toEqual({ ok: false, issue });
  });

  test('the deciding test is the one with most bits an hour, or what saves most where the next print is dear', () => {
    const { chances } = expectOk(posteriorOf(reference.cause[0]));
    const costed = [
      { name: 'turnPart', table: tests.turnPart, hours: 3, cost: 2 },
      { name: 'imageCheck', table: tests.imageCheck, hours: 0.1, cost: 0 },
    ];
    expect(rankTests(chances, costed)[0].name).toBe('imageCheck');
    const dear = rankTests(chances, costed, 100);
    expect(dear[0].saves).toBeGreaterThan(0);
    expect(dear[0].saves).toBeGreaterThanOrEqual(dear[1].saves);
    const after = afterTest(chances, tests.imageCheck, 'bad')!;
    expect(after.light).toBeGreaterThan(0.8);
    expect(namedCause(after)).toBe('light');
    expect(namedCause(prior)).toBeUndefined();
    expect(afterTest(chances, tests.imageCheck, 'none of these')).toBeUndefined();
  });
});

describe('rates', () => {
  test('Jeffreys and Wilson as published: 2 of 2, none of 10, 7 of 10', () => {
    // L. D. Brown et al. 2001; E. B. Wilson 1927.
    expect(jeffreysInterval({ k: 0, n: 10 })).toEqual({ low: 0, high: expect.closeTo(0.2172, 3) });
    expect(jeffreysInterval({ k: 2, n: 2 }).high).toBe(1);
    expect(wilsonInterval({ k: 7, n: 10 }).low).toBeCloseTo(0.3968, 3);
    expect(wilsonInterval({ k: 7, n: 10 }).high).toBeCloseTo(0.8922, 3);
    expect(wilsonInterval({ k: 0, n: 0 })).toEqual({ low: 0, high: 1 });
  });

  test('two of two is not 100 %: few prints are drawn towards the others, many are not', () => {
    const [few, many] = pooledRates([
      { k: 2, n: 2 },
      { k: 38, n: 40 },
      { k: 30, n: 40 },
      { k: 16, n: 20 },
    ]);
    expect(few.mean).toBeLessThan(0.95);
    expect(few.mean).toBeGreaterThan(0.8);
    expect(few.high - few.low).toBeGreaterThan(many.high - many.low);
    expect(many.mean).toBeCloseTo(0.94, 1);
  });

  test('two rates are called different only where hardly anything speaks against it', () => {
    expect(chanceAbove({ k: 5, n: 10 }, { k: 5, n: 10 })).toBeCloseTo(0.5, 2);
    expect(areDifferent({ k: 9, n: 10 }, { k: 6, n: 10 })).toBe(false);
    expect(areDifferent({ k: 90, n: 100 }, { k: 60, n: 100 })).toBe(true);
    // The most different two of six groups: a difference that two alone would show is not enough.
    const [best, worst] = [
      { k: 19, n: 20 },
      { k: 13, n: 20 },
    ];
    expect([areDifferent(best, worst), areDifferent(best, worst, 15)]).toEqual([true, false]);
  });

  test('the share that loses whole plates is learned from plates of copies', () => {
    const before = learnCommonShare([{ copies: 1, failed: 1 }]);
    expect(before.mean).toBeCloseTo(0.5, 2);
    const plates = (failed: number) =>
      Array.from({ length: 12 }, (_, i) => ({ copies: 6, failed: i < 4 ? failed : 0 }));
    expect(learnCommonShare(plates(6)).mean).toBeGreaterThan(0.7);
    expect(learnCommonShare(plates(1)).mean).toBeLessThan(0.45);
  });
});

describe('film', () => {
  test('before any print it is due by the house; a log of long lives moves it out, one of failures in', () => {
    const young = learnFilm(20_000, []);
    expect(filmRisk(young, 20_000)).toBeGreaterThan(0.08);
    expect(filmRisk(young, 20_000)).toBeLessThan(0.2);
    expect(filmRisk(young, 0)).toBe(0);
    const log = (failedByFilm: number) =>
      Array.from({ length: 12 }, (_, i) => ({ layers: 25_000 + 1000 * i, failedByFilm }));
    expect(filmRisk(learnFilm(20_000, log(0)), 20_000)).toBeLessThan(filmRisk(young, 20_000));
    expect(filmRisk(learnFilm(20_000, log(0.6)), 20_000)).toBeGreaterThan(filmRisk(young, 20_000));
    const due = filmDueFrom(young, 40, 12)!;
    expect(filmDueFrom(young, 400, 12)!).toBeLessThan(due);
    expect(filmDueFrom(young, 5, 12)).toBeUndefined();
    expect(() => learnFilm(0, [])).toThrow(RangeError);
  });
});

describe('the built-in tables', () => {
  // core/simulated/troubles knows nothing of them; bench:log tells the same over more stories.
  const told = Array.from({ length: 400 }, (_, seed) => tellStory(seed + 1, 1)).flatMap(
    (story) => story ?? [],
  );
  const read = told.map(({ seen, story }) => ({
    chances: expectOk(readFailure(seen)).chances,
    trouble: story.trouble as string,
  }));

  test('what is said with 60 to 80 % is true about as often, and what is said with less, less', () => {
    const share = (low: number, high: number) => {
      const all = read.flatMap(({ chances, trouble }) =>
        Object.entries(chances)
          .filter(([, p]) => p >= low && p < high)
          .map(([cause]) => cause === trouble),
      );
      return { n: all.length, true: all.filter(Boolean).length / all.length };
    };
    const [often, seldom] = [share(0.6, 0.8), share(0.05, 0.2)];
    expect(often.n).toBeGreaterThan(50);
    expect(often.true).toBeGreaterThan(0.6);
    expect(often.true).toBeLessThan(0.85);
    expect(seldom.true).toBeGreaterThan(0.05);
    expect(seldom.true).toBeLessThan(0.2);
  });

  test('chances of outcomes lie between 0 and 1, and each test has its two', () => {
    for (const { name, table } of costedTests()) {
      expect(Object.keys(table)).toEqual([...TEST_TABLE[name].outcomes.map((outcome) => outcome.name)]);
      for (const under of Object.values(table))
        for (const p of Object.values(under)) expect(p > 0 && p < 1).toBe(true);
    }
  });
});
