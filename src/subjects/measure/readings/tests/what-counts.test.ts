import { describe, expect, test } from '@jest/globals';
import { DEFAULT_INSTRUMENT, estimateSize, warmthU } from '@/core/measure';
import { estimateSignature, type SignatureReading } from '@/core/signature';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { createInstrument, startSession } from '@/subjects/measure/calipers';
import { HOUSE_DEFAULTS, writeHouseRules } from '@/subjects/workshop/settings';
import { createJob, viewJob } from '@/subjects/job/jobs';
import { changeNeed } from '@/subjects/job/need';
import { newestSignature, learnShopMeanings } from '@/subjects/signature';
import { keepQuote } from '@/subjects/resin/shelf';
import { BLANK_NEED, readyBench, WIDTH } from '@/testing/bench';
import { recordReading } from '../record-reading';
import { recordTry } from '../record-try';

type Bench = ReturnType<typeof readyBench>;

const featureOf = ({ db, jobId }: Bench, id: number) =>
  viewJob(db, jobId)!.current!.features.find((feature) => feature.id === id)!;

function sitting(bench: Bench, said: Partial<Parameters<typeof startSession>[1]>): number {
  const { db, jobId, instrumentId } = bench;
  return startSession(db, { jobId, instrumentId, zeroMm: 0, state: 'cured', warm: false, ...said });
}

describe('what the temperatures leave in a size', () => {
  test('nothing where both were measured, in the verdict as in the signature’s report', () => {
    const bench = readyBench();
    const { db, width, reading, profileId } = bench;
    for (let i = 0; i < 3; i++) expectOk(recordReading(db, reading(width, 20.02)));
    const { size } = featureOf(bench, width);
    const own = estimateSize([20.02, 20.02, 20.02], {
      instrument: { ...DEFAULT_INSTRUMENT, mpeMm: 0.02 },
      warmthU: 0,
    });
    expect(size!.uTypeB_mm).toBeCloseTo(own.uTypeB_mm, 12);
    expect(newestSignature(db, profileId).report.features[0].u_mm).toBeCloseTo(size!.u_mm, 12);
  });

  test('one doubt a sitting: repeats do not average it away, another sitting does', () => {
    const bench = readyBench();
    const { db, width, printId } = bench;
    const take = (sessionId: number, key: string) =>
      expectOk(
        recordReading(db, {
          clientKey: `reading-${key}`,
          sessionId,
          featureId: width,
          printId,
          readingMm: 20.02,
          confirmed: false,
        }),
      );
    const warmth = () => {
      const { size } = featureOf(bench, width);
      return Math.sqrt(size!.uTypeB_mm ** 2 - 0.02 ** 2 / 3 - 0.01 ** 2 / 12) / 20.02;
    };
    const first = sitting(bench, {});
    take(first, '1');
    const alone = warmth();
    take(first, '2');
    take(first, '3');
    expect(warmth()).toBeCloseTo(alone, 10);
    expect(alone).toBeCloseTo(warmthU({}, {}), 8);
    const second = sitting(bench, {});
    for (const key of ['4', '5', '6']) take(second, key);
    expect(warmth()).toBeCloseTo(alone / Math.SQRT2, 8);
  });

  test('steel and the resin’s own growth count, whichever is measured', () => {
    expect(warmthU({}, { partC: 25, instrumentC: 25 })).toBe(0);
    expect(warmthU({}, { partC: 25 })).toBeCloseTo(3 * 11.5e-6, 12);
    expect(warmthU({ steel: false }, { partC: 25 })).toBe(0);
    expect(warmthU({ steel: false }, {})).toBeCloseTo(3 * 90e-6, 12);
    expect(warmthU({}, { partExpansionPerK: 50e-6 })).toBeCloseTo(3 * 38.5e-6, 12);
  });

  test('a warm part is brought to 20 °C by what the resin’s sheet says, on a caliper that does not grow', () => {
    const bench = readyBench();
    const { db, width, printId } = bench;
    const { resin } = queries.listProfiles(db)[0];
    const quote = {
      property: 'expansion_um_mK',
      value: 60,
      condition: 'cured',
      source: 'datasheet',
    } as const;
    expectOk(keepQuote(db, resin.id, quote));
    const instrumentId = expectOk(
      createInstrument(db, {
        name: 'carbon',
        mpeMm: 0.02,
        resolutionMm: 0.01,
        jawFlatUnknown: false,
        steel: false,
        simulated: false,
      }),
    );
    const sessionId = sitting(bench, { instrumentId, partC: 30, instrumentC: 20 });
    const clientKey = 'warm-reading';
    const taken = { clientKey, sessionId, featureId: width, printId, readingMm: 20, confirmed: false };
    expectOk(recordReading(db, taken));
    expect(featureOf(bench, width).size!.sizeMm).toBeCloseTo(20 * (1 - 60e-6 * 10), 9);
  });

  test('in the signature an unknown warmth is one scale error of its sitting: many readings do not hide it', () => {
    const kinds = [5, 10, 20, 40, 60].map((drawnMm) => ({ drawnMm, feature: `w${drawnMm}` }));
    const readings = (warmth?: SignatureReading['warmth']): SignatureReading[] =>
      ['P1', 'P2', 'P3', 'P4'].flatMap((print) =>
        kinds.flatMap(({ drawnMm, feature }) =>
          [0, 1, 2].map((i) => ({
            ...WIDTH,
            feature,
            print,
            drawnMm,
            warmth,
            readingMm: drawnMm * 0.996 + 0.05 + 0.001 * i,
          })),
        ),
      );
    const options = { instruments: { '': DEFAULT_INSTRUMENT } };
    const sdOf = (given: readonly SignatureReading[]) =>
      estimateSignature(given, options).parameters.find(({ name }) => name === 'epsilonX')!.sd;
    const [known, unknown] = [sdOf(readings()), sdOf(readings({ sitting: 's1', u: 0.001 }))];
    expect(unknown).toBeGreaterThan(0.0009);
    expect(known).toBeLessThan(0.7 * unknown);
  });
});

describe('what a verdict is about', () => {
  test('a reading in another state than the limits are for is judged as what it comes to there, with the wider U', () => {
    const bench = readyBench();
    const { db, jobId, width, printId } = bench;
    const take = (state: 'green' | 'cured', readingMm: number) =>
      expectOk(
        recordReading(db, {
          clientKey: `${state}-reading`,
          sessionId: sitting(bench, { state, partC: 20, instrumentC: 20 }),
          featureId: width,
          printId,
          readingMm,
          confirmed: false,
        }),
      );
    take('green', 20.2);
    const green = featureOf(bench, width);
    expect(green).toMatchObject({ converted: { read: 'green', counts: 'cured' } });
    // Before both states were read, green is assumed larger by 0.0010 ± 0.0020 of the drawn size.
    const drawnMm = green.drawnMm!;
    expect(green.converted!.size.sizeMm).toBeCloseTo(20.2 - 0.001 * drawnMm, 6);
    expect(green.converted!.size.u_mm).toBeCloseTo(Math.hypot(green.size!.u_mm, 0.002 * drawnMm), 6);
    expect(green.verdict).toMatchObject({ kind: 'out', side: 'over' });
    take('cured', 20);
    const cured = featureOf(bench, width);
    expect(cured.converted).toBeUndefined();
    expect(cured.verdict).toMatchObject({ kind: 'in' });
    const { revision } = queries.findJob(db, jobId)!;
    const { profileId } = bench;
    expectOk(changeNeed(db, jobId, { ...BLANK_NEED, profileId, fitState: 'green', revision }));
    expect(featureOf(bench, width).verdict).toMatchObject({ kind: 'out', side: 'over' });
  });

  test('the house chooses the rule of new jobs, and a verdict carries it', () => {
    const { db } = readyBench();
    writeHouseRules(db, { decisionRule: 'shared' });
    expect(queries.findJob(db, createJob(db, 'Vane'))!.rule).toBe('shared');
    expect(HOUSE_DEFAULTS.decisionRule).toBe('guarded');
  });

  test('the word of a warm part is kept, and not learned from', () => {
    const bench = readyBench();
    const { db, bore, printId, profileId, reading } = bench;
    expectOk(recordReading(db, reading(bore, 9.55)));
    const before = newestSignature(db, profileId).signature.parameters;
    const word = { featureId: bore, printId, word: 'rattles', state: 'cured' } as const;
    expectOk(recordTry(db, { ...word, clientKey: 'warm-word', warm: true }));
    expect(featureOf(bench, bore).word).toBe('rattles');
    expect(newestSignature(db, profileId).signature.parameters).toEqual(before);
    expect(learnShopMeanings(db).rattles.count).toBe(0);
    expectOk(recordTry(db, { ...word, clientKey: 'cool-word' }));
    expect(learnShopMeanings(db).rattles.count).toBe(1);
  });
});
