/**
 * Time of one whole analysis: estimate, leave-one-out, ten drawn targets with their joint chance, next reading.
 * Printed beside a fixed piece of arithmetic timed in the same run, since machines differ and are shared.
 */
import { seededRandom } from '@/core/kit/numerics';
import {
  drawTarget,
  estimateSignature,
  jointChance,
  lawRow,
  leaveOneOut,
  rankNextReadings,
  type SignatureReading,
  type Target,
} from '@/core/signature';
import { KINDS } from './kinds';

const TRUTH = [-0.004, -0.0045, 0.0003, -0.004, 0.04, 0.015, 0.01, 0.08, -0.06, 0, 0];
const OPTIONS = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };

function makeReadings(features: number): SignatureReading[] {
  const random = seededRandom(features);
  return Array.from({ length: features }, (_, i) => {
    const kind = KINDS[i % KINDS.length];
    const drawnMm = 3 + ((i * 7) % 40);
    const offset = lawRow(kind, drawnMm).reduce((sum, entry, j) => sum + entry * TRUTH[j], 0);
    const size = drawnMm + offset + 0.015 * random.normal();
    return Array.from({ length: 3 }, () => ({
      ...kind,
      feature: `f${i}`,
      print: 'P1',
      drawnMm,
      readingMm: Math.round((size + 0.007 * random.normal()) * 100) / 100,
    }));
  }).flat();
}

function makeTargets(): Target[] {
  return Array.from({ length: 10 }, (_, i) => ({
    feature: `f${i}`,
    kind: KINDS[i % KINDS.length],
    targetMm: 5 + 3 * i,
    lowerDeviationMm: -0.06,
    upperDeviationMm: 0.06,
  }));
}

function analyse(readings: readonly SignatureReading[], targets: readonly Target[]): void {
  const signature = estimateSignature(readings, OPTIONS);
  leaveOneOut(signature, OPTIONS);
  const drawn = targets.map((target) => ({ target, drawMm: drawTarget(signature, target).drawMm }));
  jointChance(signature, drawn);
  const candidates = signature.observations.map((observation) => ({ ...observation, u_mm: 0.005 }));
  rankNextReadings(signature, targets, candidates);
}

/** Fastest of several runs, ms: the one least disturbed by neighbours. */
function fastest(work: () => void, runs: number): number {
  let best = Infinity;
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    work();
    best = Math.min(best, performance.now() - from);
  }
  return best;
}

/** Plain multiplication of two 256 × 256 matrices: 16.8 million multiply-adds. */
function yardstick(): void {
  const size = 256;
  const [a, b, c] = [0, 1, 2].map((k) => new Float64Array(size * size).fill(k + 0.5));
  for (let i = 0; i < size; i++) {
    for (let k = 0; k < size; k++)
      for (let j = 0; j < size; j++) c[i * size + j] += a[i * size + k] * b[k * size + j];
  }
}

const targets = makeTargets();
const unit = fastest(yardstick, 8);
for (const features of [30, 200]) {
  const readings = makeReadings(features);
  const first = fastest(() => analyse(readings, targets), 1);
  const ms = fastest(() => analyse(readings, targets), 6);
  console.log(
    `${features} features × 3 readings, 10 targets: ${ms.toFixed(0)} ms (first call ${first.toFixed(0)} ms), ` +
      `${(ms / unit).toFixed(1)} × a 256³ matrix product (${unit.toFixed(0)} ms)`,
  );
}
