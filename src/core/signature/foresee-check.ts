import { choleskyInPlace } from '@/core/kit/numerics';
import { type Jaw, pieceVariance, pooledScatter } from '@/core/measure';
import type { Signature } from './estimate';
import { instrumentNamed } from './observations';
import { biasKey } from './columns';

/** Readings of a piece of known size that could be taken. */
interface PlannedCheck {
  readonly instrument: string;
  readonly jaw: Jaw;
  /** Standard uncertainty of the piece, mm. */
  readonly u_mm: number;
  readonly count: number;
}

/**
 * The signature as it would be if a piece of known size were read so often: what it will read is not known, so the means
 * stay; how far the jaw's bias is known then does not depend on it. A jaw that read nothing here changes nothing.
 */
export function foreseeCheck(
  signature: Signature,
  { instrument, jaw, u_mm, count }: PlannedCheck,
): Signature {
  const { posterior, observations } = signature;
  const { layout } = posterior.evidence;
  const column = layout.at.get(biasKey(instrument, jaw));
  if (column === undefined || count === 0) return signature;
  const known = instrumentNamed(posterior.instruments, instrument);
  const pooled = pooledScatter(
    observations.map(({ readings }) => readings.map(({ readingMm }) => readingMm)),
  );
  const information = count / pieceVariance(u_mm, known, pooled);
  const size = layout.count;
  const nodes = posterior.nodes.map((node) => {
    const precision = new Float64Array(size * size);
    for (let i = 0; i < size; i++)
      for (let j = 0; j <= i; j++)
        for (let k = 0; k <= j; k++)
          precision[i * size + j] += node.factor[i * size + k] * node.factor[j * size + k];
    precision[column * size + column] += information;
    if (choleskyInPlace(precision, size) >= 0)
      throw new RangeError('foreseeCheck: precision is not positive definite');
    return { ...node, factor: precision };
  });
  return { ...signature, posterior: { ...posterior, nodes } };
}
