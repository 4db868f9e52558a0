import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type FeatureKind, jawOf } from '@/core/measure';
import { type SeededRandom, seededRandom } from '@/core/kit/numerics';
import { PlainModel, type PlainReading } from '@/testing/plain-model';
import { estimateFromObservations, estimateSignature, evidenceOf } from '../estimate';
import { solveReadings, solveWithWords } from '../gather-evidence';
import type { Change } from '../frame';
import { latentCovariance, latentSize, placeQuery } from '../latent-size';
import { PARAMETER_COUNT, PARAMETER_NAMES } from '../law';
import { learnSignature } from '../learn';
import { LeaveOneOut } from '../leave-one-out';
import { groupObservations, type Observation } from '../observations';
import type { SignatureReading } from '../reading';
import { biasKey } from '../columns';
import { rowOf } from '../rows';
import { SCATTER_GRID } from '../scatter-grid';
import { FIT_WORDS, takeWords, type Try } from '../tries';

const KINDS: readonly FeatureKind[] = [
  { sense: 'outside', shape: 'flat', axis: 'X' },
  { sense: 'inside', shape: 'flat', axis: 'Y' },
  { sense: 'inside', shape: 'round', axis: 'XY' },
  { sense: 'outside', shape: 'flat', axis: 'Z', base: 'supported' },
  { sense: 'pitch', shape: 'flat', axis: 'XY', angleRad: 0.7 },
];
const INSTRUMENTS = { '': { mpeMm: 0.02, resolutionMm: 0.01 }, fine: { mpeMm: 0.005, resolutionMm: 0.001 } };
const STATES = ['cured', 'cured', 'green', 'aged'] as const;

/** Every second copy of a job lay on one plate with the first: prints 3.0 and 3.1 share a run, 3.2 has its own. */
function runOf(print: string): string {
  const [job, copy] = print.split('.').map(Number);
  return `${job} plate ${copy >> 1}`;
}

function readingsOf(random: SeededRandom, feature: string, kind: FeatureKind, prints: readonly string[]) {
  const drawnMm = 2 + 30 * random.uniform();
  return prints.flatMap((print): SignatureReading[] => {
    const state = STATES[Math.floor(STATES.length * random.uniform())];
    const instrument = random.uniform() < 0.3 ? 'fine' : '';
    const warmth = random.uniform() < 0.4 ? { sitting: `${print} ${instrument}`, u: 2e-4 } : undefined;
    const place = random.uniform() < 0.5 ? { xMm: 60 * random.uniform() - 30, yMm: 20 } : undefined;
    return Array.from({ length: 1 + Math.floor(3 * random.uniform()) }, () => ({
      ...kind,
      feature,
      print,
      run: runOf(print),
      drawnMm,
      readingMm: drawnMm + 0.05 * random.normal(),
      state,
      instrument,
      warmth,
      place,
    }));
  });
}

/**
 * A workshop of jobs, each with features and prints of its own, some prints shared between two jobs, and on request a
 * control feature in every print: then all rows depend on each other.
 */
function makeBench(jobs: number, seed: number, control: boolean): SignatureReading[] {
  const random = seededRandom(seed);
  const printsOf = (job: number) =>
    Array.from({ length: 1 + Math.floor(3 * random.uniform()) }, (_, i) => `${job}.${i}`);
  const all: SignatureReading[] = [];
  const printed: string[] = [];
  for (let job = 0; job < jobs; job++) {
    const prints = printsOf(job);
    if (job > 0 && random.uniform() < 0.3) prints.push(`${job - 1}.0`);
    printed.push(...prints);
    for (let i = 0; i < 1 + Math.floor(4 * random.uniform()); i++)
      all.push(...readingsOf(random, `${job}/${i}`, KINDS[(job + i) % KINDS.length], prints));
  }
  if (control) all.push(...readingsOf(random, 'control', KINDS[0], [...new Set(printed)]));
  return all;
}

function plainReading(observation: Observation): PlainReading {
  const { jaw, instrument } = observation;
  return {
    ...observation,
    bias: jaw === undefined ? undefined : biasKey(instrument, jaw),
    offsetMm: observation.sizeMm - observation.drawnMm,
    variance: observation.u_mm ** 2,
  };
}

const MPE_OF = (bias: string) => INSTRUMENTS[bias.includes('fine') ? 'fine' : ''].mpeMm;

/** Changes as the plain model has them: newest first. */
function plainChanges(changes: readonly Change[]) {
  return {
    changes: changes.toReversed().map(({ givenBack, shiftsGivenBack = 0, moved = {} }) => ({
      forgets: PARAMETER_NAMES.map((name) => givenBack[name] ?? 0),
      forgetsShifts: shiftsGivenBack,
      moved: PARAMETER_NAMES.map((name) => moved[name] ?? { mean: 0, sd: 0 }),
    })),
    changesSince: (print: string) => {
      const at = changes.findIndex(({ printsBefore }) => printsBefore.includes(print));
      return at < 0 ? 0 : changes.length - at;
    },
  };
}

/** The same bench both ways at one node. */
function bothWays(readings: readonly SignatureReading[], at: number, changes: readonly Change[] = []) {
  const observations = groupObservations(readings, INSTRUMENTS);
  const { evidence, frame, state } = evidenceOf(observations, { instruments: INSTRUMENTS, changes });
  const node = solveReadings(evidence, at);
  const plain = new PlainModel(observations.map(plainReading), {
    scatter: SCATTER_GRID[at],
    mpeOf: MPE_OF,
    base: frame.base,
    ...plainChanges(changes),
  });
  const fast = (size: Pick<Observation, 'feature' | 'print' | 'run' | 'kind' | 'drawnMm'>) => {
    const row = rowOf({ ...size, state }, frame);
    const latent = latentSize(evidence, node, placeQuery(evidence, row));
    return { ...latent, offsetMm: latent.offsetMm + row.knownMm };
  };
  return { observations, evidence, node, plain, fast, frame, state };
}

const BENCH = [
  fc.integer({ min: 1, max: 7 }),
  fc.integer({ min: 1, max: 1e6 }),
  fc.boolean(),
  fc.integer({ min: 0, max: SCATTER_GRID.length - 1 }),
] as const;
const RUNS = { seed: 7, numRuns: 12 };

describe('groups eliminated by themselves give what one dense Gaussian gives', () => {
  test('means, variances and covariances of sizes read, to be read and never printed', () => {
    fc.assert(
      fc.property(...BENCH, (jobs, seed, control, at) => {
        const { observations, plain, fast, node, state } = bothWays(makeBench(jobs, seed, control), at);
        const [first, last] = [observations[0], observations.at(-1)!];
        const sizes = [
          { ...first, state },
          { ...last, print: 'to come', run: undefined, state },
          { ...first, feature: 'new', print: last.print, run: last.run, state },
          { ...first, print: 'a copy beside it', state },
        ].map(({ feature, print, run, kind, drawnMm }) => ({ feature, print, run, kind, drawnMm, state }));
        for (const a of sizes) {
          expect(Math.abs(fast(a).offsetMm - plain.meanMm(a))).toBeLessThan(1e-9);
          for (const b of sizes) {
            const covariance = latentCovariance(fast(a), fast(b), node);
            expect(Math.abs(covariance - plain.covariance(a, b))).toBeLessThan(1e-9 * (1 + covariance));
          }
        }
      }),
      RUNS,
    );
  });

  test('with changes since some of the prints: of film, of lot, of exposure', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 7 }), BENCH[1], BENCH[2], BENCH[3], (jobs, seed, control, at) => {
        const readings = makeBench(jobs, seed, control);
        const prints = [...new Set(readings.map(({ print }) => print))];
        const third = Math.ceil(prints.length / 3);
        const all = Object.fromEntries(PARAMETER_NAMES.map((name) => [name, 0.3]));
        const changes: Change[] = [
          { printsBefore: prints.slice(0, third), givenBack: all, shiftsGivenBack: 0.5 },
          {
            printsBefore: prints.slice(third, 2 * third),
            givenBack: { edge: 0.2, zPlate: 0.8 },
            moved: { edge: { mean: 0.02, sd: 0.01 }, zSupported: { mean: 0.03, sd: 0.01 } },
          },
        ];
        const { observations, plain, fast, node, state } = bothWays(readings, at, changes);
        const sizes = [
          { ...observations[0], state },
          { ...observations.at(-1)!, state },
          { ...observations[0], feature: 'new', print: 'to come', run: undefined, state },
          { ...observations.at(-1)!, feature: 'new', print: prints[0], run: runOf(prints[0]), state },
        ].map(({ feature, print, run, kind, drawnMm }) => ({ feature, print, run, kind, drawnMm, state }));
        for (const a of sizes) {
          expect(Math.abs(fast(a).offsetMm - plain.meanMm(a))).toBeLessThan(1e-9);
          for (const b of sizes) {
            const covariance = latentCovariance(fast(a), fast(b), node);
            expect(Math.abs(covariance - plain.covariance(a, b))).toBeLessThan(1e-9 * (1 + covariance));
          }
        }
      }),
      RUNS,
    );
  });

  test('the likelihood of two nodes differs by the same', () => {
    fc.assert(
      fc.property(...BENCH, (jobs, seed, control, at) => {
        const readings = makeBench(jobs, seed, control);
        const [one, other] = [bothWays(readings, at), bothWays(readings, (at + 700) % SCATTER_GRID.length)];
        const fast = one.node.logLikelihood - other.node.logLikelihood;
        const plain = one.plain.logLikelihood - other.plain.logLikelihood;
        expect(Math.abs(fast - plain)).toBeLessThan(1e-8 * Math.max(1, Math.abs(plain)));
      }),
      RUNS,
    );
  });

  test('words taken in group by group, to a millionth', () => {
    fc.assert(
      fc.property(...BENCH, (jobs, seed, control, at) => {
        const { observations, plain, frame } = bothWays(makeBench(jobs, seed, control), at);
        const random = seededRandom(seed + 1);
        const words = observations
          .filter(({ kind }) => kind.sense !== 'pitch' && random.uniform() < 0.3)
          .map(({ kind, feature, print, run, drawnMm, place }): Try => {
            const word = FIT_WORDS[Math.floor(FIT_WORDS.length * random.uniform())];
            return {
              ...kind,
              feature,
              print,
              run,
              drawnMm,
              place,
              word,
              mateMm: drawnMm - 0.05,
              mateU_mm: 0.005,
            };
          });
        const { evidence } = evidenceOf(observations, { instruments: INSTRUMENTS, tries: words });
        const node = solveWithWords(evidence, at, solveReadings(evidence, at));
        // Dense: the words' sizes given all readings, then one after another in the order of the groups.
        const rows = evidence.groups.flatMap((group) => group.words);
        const ordered = rows.map(({ word }) => word);
        const sizes = ordered.map((word) => ({ ...word, kind: word }));
        const means = Float64Array.from(sizes, (size) => plain.meanMm(size));
        const covariance = Float64Array.from(sizes.flatMap((a) => sizes.map((b) => plain.covariance(a, b))));
        takeWords(rows, { means, covariance });
        ordered.forEach((word, i) => {
          const row = rowOf({ ...word, kind: word, state: 'cured' }, frame);
          const fast = latentSize(evidence, node, placeQuery(evidence, row));
          expect(Math.abs(fast.offsetMm - means[i])).toBeLessThan(1e-6);
          expect(Math.abs(fast.variance - covariance[i * ordered.length + i])).toBeLessThan(1e-6);
        });
      }),
      RUNS,
    );
  });
});

describe('with what an earlier estimate kept', () => {
  test('the answer is that of an estimate from nothing, whatever was read, said or taken back in between', () => {
    const readings = makeBench(12, 5, true);
    const kept = new Map();
    for (const part of [readings.slice(0, 30), readings, readings.slice(3), readings.slice(0, -7)]) {
      const again = estimateSignature(part, { instruments: INSTRUMENTS, kept });
      const anew = estimateSignature(part, { instruments: INSTRUMENTS });
      expect(again.parameters).toEqual(anew.parameters);
      expect(again.scatter).toEqual(anew.scatter);
    }
  });

  test('one more reading computes one group again', () => {
    const readings = makeBench(12, 6, false);
    const kept = new Map();
    estimateSignature(readings, { instruments: INSTRUMENTS, kept });
    const before = new Set(kept.values());
    const more = { ...readings[0], readingMm: readings[0].readingMm + 0.001 };
    // Two noise levels suffice to see it: repeats elsewhere keep the pooled scatter of a large bench in its step.
    const observations = groupObservations(readings, INSTRUMENTS);
    const changed = observations.map((each, i) => (i === 0 ? { ...each, sizeMm: more.readingMm } : each));
    estimateFromObservations(changed, { instruments: INSTRUMENTS, kept });
    expect([...kept.values()].filter((parts) => !before.has(parts))).toHaveLength(1);
  });
});

describe('what a shop piles up', () => {
  const width = (feature: string, print: string, readingMm: number): SignatureReading => ({
    ...KINDS[0],
    feature,
    print,
    drawnMm: 10,
    readingMm,
  });

  test('ten thousand readings of one feature are one observation, none of them odd', () => {
    const random = seededRandom(3);
    const readings = Array.from({ length: 10_000 }, () =>
      width('w', 'P', Math.round(1005 + random.normal()) / 100),
    );
    const { signature, report } = learnSignature(readings, { instruments: INSTRUMENTS });
    expect(signature.observations).toHaveLength(1);
    expect(report.suspicious).toEqual([]);
  });

  test('a control feature in each of 300 prints becomes one shared column, and every print a group of its own', () => {
    const readings = Array.from({ length: 300 }, (_, p) => [
      width(`f${p}`, `P${p}`, 10.05),
      width('control', `P${p}`, 10.04 + 0.01 * Math.sin(p)),
    ]).flat();
    const { posterior } = estimateSignature(readings, { instruments: INSTRUMENTS });
    // The law, one bias, and the repeatable deviation of the control feature.
    expect(posterior.evidence.layout.count).toBe(PARAMETER_COUNT + 2);
    expect(posterior.evidence.groups).toHaveLength(300);
  });
});

test('leaving out an observation in closed form is estimating without it', () => {
  const readings = makeBench(6, 11, true);
  const signature = estimateSignature(readings, { instruments: INSTRUMENTS });
  const loo = new LeaveOneOut(signature, INSTRUMENTS);
  const { observations } = signature;
  // Those read once take no part in the pooled scatter, so the rest keeps its noise.
  const lone = observations.flatMap((each, i) => (each.readings.length === 1 ? [i] : [])).slice(0, 6);
  expect(lone.length).toBeGreaterThan(2);
  for (const i of lone) {
    const rest = estimateFromObservations(
      observations.filter((_, j) => j !== i),
      { instruments: INSTRUMENTS },
    );
    const { kind, jaw, instrument } = observations[i];
    const row = rowOf(
      { ...observations[i], bias: jawOf(kind.sense) && biasKey(instrument, jaw!) },
      signature.posterior.frame,
    );
    const { evidence, nodes, weights } = rest.posterior;
    const sizes = nodes.map((node) => latentSize(evidence, node, placeQuery(evidence, row)));
    const mean = sizes.reduce((sum, { offsetMm }, node) => sum + weights[node] * offsetMm, 0);
    // Every second node serves here, so the mixture over the scatters differs in the third digit of the sd.
    const { meanMm, sdMm } = loo.without(i);
    expect(Math.abs(meanMm - observations[i].drawnMm - mean)).toBeLessThan(0.01 * sdMm);
  }
});
