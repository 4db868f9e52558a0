import { type FeatureKind, jawOf, type PartState } from '@/core/measure';
import { forwardSolve, mixtureMoments } from '@/core/kit/numerics';
import type { Signature } from './estimate';
import type { Change } from './frame';
import { latentCovariance } from './latent-size';
import { sharedParts } from './layout';
import { PARAMETER_COUNT, PARAMETER_NAMES, type PlatePlace } from './law';
import { instrumentNamed } from './observations';
import { latentSizes, type SizeQuery } from './predict';
import { ONLY_INSTRUMENT } from './reading';
import { biasKey, type PrintRef } from './columns';
import type { Target } from './draw';

/** A reading that could be taken now. */
export interface ReadingCandidate {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  /** The print it would be read on. */
  readonly print: PrintRef;
  readonly run?: string;
  /** Standard uncertainty of the planned mean of repeats, mm. */
  readonly u_mm: number;
  readonly instrument?: string;
  readonly place?: PlatePlace;
  /** State in which it would be read; default that of the signature. */
  readonly state?: PartState;
}

export interface ReadingGain {
  readonly candidate: ReadingCandidate;
  /** Summed predictive variance of the targets before and after, mm². */
  readonly before: number;
  readonly after: number;
}

function targetQuery(target: Target): SizeQuery {
  return { ...target, drawnMm: target.targetMm };
}

/**
 * Which reading shrinks the summed predictive variance of the targets most: closed form at every node, mixed by weight.
 * Best first. The bias of the jaw is in the reading, as well as it is known by then.
 * Source: D. J. C. MacKay, Neural Computation 4 (1992) 590 (expected variance of a query).
 */
export function rankNextReadings(
  signature: Signature,
  targets: readonly Target[],
  candidates: readonly ReadingCandidate[],
): ReadingGain[] {
  const { posterior } = signature;
  const { nodes, weights } = posterior;
  const wanted = targets.map((target) => latentSizes(signature, targetQuery(target)));
  const before = wanted.reduce(
    (sum, sizes) => sum + sizes.reduce((own, size, node) => own + weights[node] * size.variance, 0),
    0,
  );
  const gains = candidates.map((candidate) => {
    const { query, noise } = readingQuery(signature, candidate);
    const read = latentSizes(signature, query);
    let gained = 0;
    for (const sizes of wanted) {
      const shared = sharedParts(sizes[0].row, read[0].row);
      for (let node = 0; node < nodes.length; node++) {
        const covariance = latentCovariance(sizes[node], read[node], nodes[node], shared);
        gained += (weights[node] * covariance ** 2) / (read[node].variance + noise);
      }
    }
    return { candidate, before, after: before - gained };
  });
  return gains.sort((a, b) => a.after - b.after);
}

/** Mean and sd of a reading before it is taken, mm: the size with what the jaw adds, and the candidate's own noise. */
export function predictReading(
  signature: Signature,
  candidate: ReadingCandidate,
): { readonly meanMm: number; readonly sdMm: number } {
  const { query, noise } = readingQuery(signature, candidate);
  const sizes = latentSizes(signature, query);
  const { mean, sd } = mixtureMoments({
    weights: signature.posterior.weights,
    means: Float64Array.from(sizes, ({ offsetMm }) => candidate.drawnMm + offsetMm),
    variances: Float64Array.from(sizes, ({ variance }) => variance + noise),
  });
  return { meanMm: mean, sdMm: sd };
}

/** How much a reading would reduce the uncertainty that a change left. */
export interface SettlingGain {
  readonly candidate: ReadingCandidate;
  /** Share of the variance given back that it would settle, 0 … 1. */
  readonly settled: number;
}

/**
 * Returns which reading reduces the uncertainty left by changes most: how much it narrows the parameters that were
 * reopened, each relative to the spread of its prior and weighted by the share given back. Best first.
 */
export function rankSettlingReadings(
  signature: Signature,
  { givenBack }: Pick<Change, 'givenBack'>,
  candidates: readonly ReadingCandidate[],
): SettlingGain[] {
  const { evidence, nodes, weights, prior } = signature.posterior;
  const { count } = evidence.layout;
  const wanted = PARAMETER_NAMES.flatMap((name, i) => {
    const weight = (givenBack[name] ?? 0) / prior.covariance[i * PARAMETER_COUNT + i];
    return weight > 0 ? [{ i, weight }] : [];
  });
  // A parameter at a node, whitened like the sizes: dot products are covariances.
  const parameters = wanted.map(({ i }) =>
    nodes.map(({ factor }) => {
      const unit = new Float64Array(count);
      unit[i] = 1;
      forwardSolve(factor, count, unit);
      return unit;
    }),
  );
  const open = wanted.reduce(
    (sum, { weight }, p) =>
      sum + parameters[p].reduce((own, unit, node) => own + weight * weights[node] * dot(unit, unit), 0),
    0,
  );
  const gains = candidates.map((candidate): SettlingGain => {
    const { query, noise } = readingQuery(signature, candidate);
    const read = latentSizes(signature, query);
    let gained = 0;
    wanted.forEach(({ weight }, p) =>
      read.forEach(({ whitened, variance }, node) => {
        gained += (weight * weights[node] * dot(parameters[p][node], whitened) ** 2) / (variance + noise);
      }),
    );
    return { candidate, settled: open === 0 ? 0 : gained / open };
  });
  return gains.sort((a, b) => b.settled - a.settled);
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i] * b[i];
  return sum;
}

/** A reading as a size with the bias of its jaw in it, and the noise beside it, mm². */
export function readingQuery(
  { posterior }: Signature,
  candidate: ReadingCandidate,
): { query: SizeQuery; noise: number } {
  const instrument = candidate.instrument ?? ONLY_INSTRUMENT;
  const jaw = jawOf(candidate.kind.sense);
  const noise = candidate.u_mm ** 2;
  if (jaw === undefined) return { query: candidate, noise };
  const bias = biasKey(instrument, jaw);
  // A jaw that never read is not among the columns: its limit of error stands for it.
  const unknown = posterior.evidence.layout.at.has(bias)
    ? 0
    : instrumentNamed(posterior.instruments, instrument).mpeMm ** 2 / 3;
  return { query: { ...candidate, bias }, noise: noise + unknown };
}
