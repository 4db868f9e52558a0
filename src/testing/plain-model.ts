import { expectOk } from '@/core/result';
import { invertSymmetric, solveSymmetric } from '@/core/numerics';
import {
  DRIFT_EDGE_SD_MM,
  DRIFT_SCALE_SD,
  driftRow,
  lawPrior,
  lawRow,
  PARAMETER_COUNT,
} from '@/core/signature/law';
import type { Observation } from '@/core/signature/observations';
import type { Scatter } from '@/core/signature/node';

/** A size whose covariance with others the plain model writes down entry by entry. */
type Size = Pick<Observation, 'feature' | 'print' | 'kind' | 'drawnMm'> & {
  readonly bias?: string;
  readonly noise: number;
};

interface Noise {
  readonly scatter: Scatter;
  readonly mpeMm: number;
}

function priorCovariance(a: Size, b: Size, same: boolean, { scatter, mpeMm }: Noise): number {
  const { covariance } = lawPrior();
  const [xa, xb] = [lawRow(a.kind, a.drawnMm), lawRow(b.kind, b.drawnMm)];
  let sum = 0;
  for (let i = 0; i < PARAMETER_COUNT; i++) {
    for (let j = 0; j < PARAMETER_COUNT; j++) sum += xa[i] * covariance[i * PARAMETER_COUNT + j] * xb[j];
  }
  if (a.print === b.print) {
    const [da, db] = [driftRow(a.kind, a.drawnMm), driftRow(b.kind, b.drawnMm)];
    sum += da.edge * db.edge * DRIFT_EDGE_SD_MM ** 2 + da.scale * db.scale * DRIFT_SCALE_SD ** 2;
  }
  if (a.feature === b.feature) sum += scatter.tauB ** 2 + (a.print === b.print ? scatter.tauP ** 2 : 0);
  if (a.bias !== undefined && a.bias === b.bias) sum += mpeMm ** 2 / 3;
  return sum + (same ? a.noise : 0);
}

/**
 * The same posterior the long way: one dense Gaussian over all observations and the query, conditioned by a full solve.
 * Only for tests: it knows nothing of blocks, latent vectors or sums by class.
 */
export function plainPrediction(
  observations: readonly Observation[],
  query: Omit<Size, 'noise'>,
  scatter: Scatter,
  mpeMm: number,
) {
  const sizes: Size[] = observations.map((each) => ({ ...each, bias: each.jaw, noise: each.u_mm ** 2 }));
  const count = sizes.length;
  const { mean } = lawPrior();
  const meanOf = ({ kind, drawnMm }: Pick<Size, 'kind' | 'drawnMm'>) =>
    drawnMm + lawRow(kind, drawnMm).reduce((sum, entry, i) => sum + entry * mean[i], 0);
  const covariance = new Float64Array(count * count);
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++)
      covariance[i * count + j] = priorCovariance(sizes[i], sizes[j], i === j, { scatter, mpeMm });
  }
  const residual = Float64Array.from(observations, (each) => each.sizeMm - meanOf(each));
  const own: Size = { ...query, noise: 0 };
  const cross = Float64Array.from(sizes, (size) =>
    priorCovariance(own, { ...size, bias: undefined }, false, { scatter, mpeMm }),
  );
  const gain = expectOk(solveSymmetric(covariance, cross));
  const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, value, i) => sum + value * b[i], 0);
  const inverse = expectOk(invertSymmetric(covariance, count));
  let misfit = 0;
  for (let i = 0; i < count; i++)
    for (let j = 0; j < count; j++) misfit += residual[i] * inverse[i * count + j] * residual[j];
  return {
    meanMm: meanOf(query) + dot(gain, residual),
    variance: priorCovariance(own, own, true, { scatter, mpeMm }) - dot(gain, cross),
    misfit,
  };
}
