import {
  estimateSignature,
  predictSize,
  rankNextReadings,
  type SignatureReading,
  type Target,
} from '@/core/signature';
import { mixtureMoments } from '@/core/numerics';
import { DEFAULT_INSTRUMENT } from '@/core/metrology';
import { BLOCK_SIZES, type BlockSize } from './blocks';

/** What most parts ask for, where a block is not chosen for a job. */
const USUAL_TARGETS: readonly Target[] = (
  [
    ['bore', { sense: 'inside', shape: 'round', axis: 'XY' }, 8],
    ['rim', { sense: 'outside', shape: 'round', axis: 'XY' }, 20],
    ['slot', { sense: 'inside', shape: 'flat', axis: 'X' }, 4],
    ['arm', { sense: 'outside', shape: 'flat', axis: 'Y' }, 30],
    ['step', { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' }, 6],
  ] as const
).map(([feature, kind, targetMm]) => ({
  feature,
  kind,
  targetMm,
  lowerDeviationMm: -0.1,
  upperDeviationMm: 0.1,
}));

/**
 * The sizes that tell most about the targets, one after another: each the one whose reading shrinks the summed
 * predictive variance most, given those before it. Most telling first; deterministic.
 * Source: greedy D. J. C. MacKay (1992), as rankNextReadings.
 */
export function chooseBlock(
  count: number,
  targets: readonly Target[] = USUAL_TARGETS,
  pool: readonly BlockSize[] = BLOCK_SIZES,
): BlockSize[] {
  const options = { instruments: { '': DEFAULT_INSTRUMENT } };
  const chosen: BlockSize[] = [];
  const readings: SignatureReading[] = [];
  while (chosen.length < Math.min(count, pool.length)) {
    const signature = estimateSignature(readings, options);
    const rest = pool.filter((size) => !chosen.includes(size));
    const candidates = rest.map((size) => ({ ...size, print: 'block', u_mm: 0.005, instrument: '' }));
    const [best] = rankNextReadings(signature, targets, candidates);
    const size = rest.find(({ feature }) => feature === best.candidate.feature)!;
    chosen.push(size);
    // What it will read does not matter to how much it tells; its expectation stands in.
    const { mean } = mixtureMoments(predictSize(signature, size));
    readings.push({
      ...size.kind,
      feature: size.feature,
      print: 'block',
      drawnMm: size.drawnMm,
      readingMm: mean,
    });
  }
  return chosen;
}
