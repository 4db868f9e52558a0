import { columnOf } from '../columns';
import { describe, expect, test } from '@jest/globals';
import { BLOCK_SIZES } from '@/core/fit/gauges';
import { estimateSignature } from '../estimate';
import { mixtureMoments } from '@/core/kit/numerics';
import { foreseeChange } from '../foresee-change';
import { chooseReadings, foreseeReadings } from '../foresee-readings';
import { lawPrior, PARAMETER_NAMES } from '../law';
import { predictReading, rankNextReadings, rankSettlingReadings } from '../next-reading';
import { predictSize } from '../predict';
import type { SignatureReading } from '../reading';
import { voidedBy } from '../voided';

const INSTRUMENTS = { '': { mpeMm: 0.02, resolutionMm: 0.01 } };
const WIDTH = { sense: 'outside', shape: 'flat', axis: 'X' } as const;
const STEP = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' } as const;
const TARGETS = [
  { feature: 'w', kind: WIDTH, targetMm: 20, lowerDeviationMm: -0.08, upperDeviationMm: 0.08 },
  { feature: 's', kind: STEP, targetMm: 6, lowerDeviationMm: -0.08, upperDeviationMm: 0.08 },
];
const DRAWN = TARGETS.map((target) => ({ target, drawMm: target.targetMm }));
const CANDIDATES = BLOCK_SIZES.map((size) => ({ ...size, print: 'block', u_mm: 0.005 }));

function read(feature: string, print: string, readingMm: number, kind = WIDTH): SignatureReading {
  return { ...kind, feature, print, drawnMm: 10, readingMm };
}

const known = estimateSignature([read('a', 'P1', 10.06), read('a', 'P1', 10.07), read('b', 'P2', 10.05)], {
  instruments: INSTRUMENTS,
});

describe('readings foreseen before they are taken', () => {
  test('the first chosen is the one that narrows the job most, and more of them never lower the chance', () => {
    const [best] = rankNextReadings(known, TARGETS, CANDIDATES);
    expect(chooseReadings(known, TARGETS, CANDIDATES, 1)).toEqual([best.candidate]);
    const chances = [0, 1, 3, 6].map((count) => foreseeReadings(known, DRAWN, CANDIDATES, { count }).after);
    expect(foreseeReadings(known, DRAWN, CANDIDATES, { count: 0 }).before).toBeCloseTo(chances[0], 9);
    for (let i = 1; i < chances.length; i++) expect(chances[i]).toBeGreaterThan(chances[i - 1] - 1e-6);
    expect(chances[3]).toBeGreaterThan(chances[0] + 0.05);
  });

  test('what was chosen first makes its like less telling: kinds differ', () => {
    const chosen = chooseReadings(known, TARGETS, CANDIDATES, 3);
    expect(new Set(chosen.map(({ kind }) => kind.axis))).toEqual(new Set(['X', 'Z']));
  });

  test('a reading is expected with what the jaw may add', () => {
    const candidate = { feature: 'new', kind: WIDTH, drawnMm: 10, print: 'P3', u_mm: 0 };
    const [without, withMore] = [0, 0.05].map((u_mm) => predictReading(known, { ...candidate, u_mm }));
    expect(without.meanMm).toBeCloseTo(10.06, 1);
    expect(withMore.sdMm ** 2 - without.sdMm ** 2).toBeCloseTo(0.05 ** 2, 9);
    // An instrument that never read brings its whole limit of error.
    const other = predictReading(known, { ...candidate, instrument: 'another' });
    expect(other.sdMm).toBeGreaterThan(without.sdMm);
  });
});

describe('what a change voids', () => {
  const NONE = { before: {}, after: {} };

  test('each kind gives its parameters back, several at once together', () => {
    const film = voidedBy({ kinds: ['film'], ...NONE }).givenBack;
    expect(Object.keys(film).sort()).toEqual(['edge', 'zPlate', 'zSupported']);
    expect(film.edge).toBeCloseTo(0.2, 12);
    expect(Object.keys(voidedBy({ kinds: ['lot'], ...NONE }).givenBack)).toEqual([...PARAMETER_NAMES]);
    expect(voidedBy({ kinds: ['wash'], ...NONE }).shiftsGivenBack).toBe(0.5);
    expect(voidedBy({ kinds: ['bottom'], ...NONE }).givenBack).toEqual({ zPlate: expect.closeTo(0.3, 12) });
    const both = voidedBy({ kinds: ['film', 'layer'], ...NONE }).givenBack;
    expect(both.zPlate).toBeCloseTo(1 - 0.8 * 0.2, 12);
    expect(both.edge).toBeCloseTo(1 - 0.8 * 0.7, 12);
  });

  test('a longer exposure is known to let edges grow; without both times nothing is known of it', () => {
    const longer = { before: { exposureS: 2 }, after: { exposureS: 4 } };
    const { moved } = voidedBy({ kinds: ['exposure'], ...longer });
    // a·ln 2 with a median of 0.045 and a mean of 0.051.
    expect(moved?.edge?.mean).toBeCloseTo(0.051 * Math.log(2), 3);
    expect(moved?.zSupported?.mean).toBeCloseTo(0.1 * Math.log(2), 12);
    expect(voidedBy({ kinds: ['exposure'], ...NONE }).moved).toBeUndefined();
    expect(voidedBy({ kinds: ['film'], ...longer }).moved).toBeUndefined();
  });

  test('a short step of the exposure gives less back than a long one, a change without a number all of it', () => {
    const edgeAfter = (exposureS?: number) =>
      voidedBy({ kinds: ['exposure'], before: { exposureS: 2 }, after: { exposureS } }).givenBack.edge;
    expect(edgeAfter(2.02)).toBeCloseTo(0.2 * (Math.log(1.01) / Math.log(4 / 3)) ** 2, 12);
    // A quarter down is the same step as a third up.
    expect(edgeAfter(1.5)).toBeCloseTo(0.2, 12);
    expect(edgeAfter(4)).toBeCloseTo(0.2, 12);
    expect([edgeAfter(), edgeAfter(2)]).toEqual([expect.closeTo(0.2, 12), expect.closeTo(0.2, 12)]);
  });

  const readings = [1, 2, 3, 4].flatMap((print) => [
    read('a', `P${print}`, 10.1),
    read(`s${print}`, `P${print}`, 9.9, STEP as never),
  ]);
  const learn = (changes: Parameters<typeof estimateSignature>[1]['changes']) =>
    estimateSignature(readings, { instruments: INSTRUMENTS, changes });
  const edgeOf = (signature: ReturnType<typeof learn>) =>
    signature.parameters.find(({ name }) => name === 'edge')!;
  const printsBefore = ['P1', 'P2', 'P3', 'P4'];

  test('what is forgotten wholly is as before any reading, what is left alone as it was', () => {
    const prior = lawPrior();
    const forgotten = edgeOf(learn([{ printsBefore, givenBack: { edge: 1 } }]));
    expect(forgotten.mean).toBeCloseTo(prior.mean[4], 6);
    expect(forgotten.sd).toBeCloseTo(0.05, 6);
    const alone = learn([{ printsBefore, givenBack: {} }]);
    expect(edgeOf(alone).mean).toBeCloseTo(edgeOf(learn([])).mean, 9);
    const half = edgeOf(learn([{ printsBefore, givenBack: { edge: 0.5 } }]));
    expect(half.sd).toBeGreaterThan(edgeOf(alone).sd);
    expect(half.sd).toBeLessThan(forgotten.sd);
  });

  test('what the oldest of many changes divided is told apart no longer', () => {
    const changes = Array.from({ length: 9 }, (_, i) => ({
      printsBefore: i < 4 ? [`P${i + 1}`] : [],
      givenBack: { edge: 0.1 },
    }));
    const { posterior } = learn(changes);
    // The law, the jaw, and one column for each of the newest six changes.
    expect(posterior.evidence.layout.extra.filter(({ key }) => columnOf(key).kind === 'change')).toHaveLength(
      6,
    );
    expect(posterior.frame.pastOf.size).toBe(4);
  });

  test('one size of the right kind settles most of what a new film left open', () => {
    const change = { printsBefore, ...voidedBy({ kinds: ['plate'], ...NONE }) };
    const [best, ...rest] = rankSettlingReadings(learn([change]), change, CANDIDATES);
    expect(best.candidate.kind).toEqual(STEP);
    expect(best.settled).toBeGreaterThan(0.05);
    expect(rest.at(-1)!.settled).toBeLessThan(best.settled);
  });

  describe('a change foreseen', () => {
    const sizes = [
      { kind: WIDTH, drawnMm: 25, feature: 'a' },
      { kind: WIDTH, drawnMm: 3 },
      { kind: STEP, drawnMm: 6 },
    ];
    const predicted = (signature: ReturnType<typeof learn>) =>
      sizes.map((query) => mixtureMoments(predictSize(signature, query)));

    test('predicts what a signature learned after it does', () => {
      const change = voidedBy({ kinds: ['film', 'plate', 'wash'], ...NONE });
      const after = predicted(learn([{ printsBefore, ...change }]));
      predicted(foreseeChange(learn([]), change)).forEach(({ mean, sd }, i) => {
        expect(mean).toBeCloseTo(after[i].mean, 6);
        expect(sd).toBeCloseTo(after[i].sd, 6);
      });
    });

    test('moves edges by what is known of an exposure, and leaves prints made already as they were', () => {
      const light = { slope: { mean: 0.06, sd: 0.01 } };
      const change = voidedBy({
        kinds: ['exposure'],
        before: { exposureS: 2 },
        after: { exposureS: 1.6 },
        light,
      });
      const foreseen = foreseeChange(learn([]), { ...change, givenBack: {} });
      const [[before], [after]] = [learn([]), foreseen].map(predicted);
      expect(after.mean - before.mean).toBeCloseTo(2 * 0.06 * Math.log(0.8), 9);
      expect(after.sd ** 2 - before.sd ** 2).toBeCloseTo((2 * 0.01 * Math.log(0.8)) ** 2, 9);
      const made = { ...sizes[0], print: 'P1' };
      expect(mixtureMoments(predictSize(foreseen, made))).toEqual(
        mixtureMoments(predictSize(learn([]), made)),
      );
    });
  });
});
