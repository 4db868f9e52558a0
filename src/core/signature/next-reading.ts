import type { FeatureKind } from '@/core/metrology';
import type { Signature } from './estimate';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow } from './law';
import { biasKey } from './model';
import { latentCovariance } from './node';
import { latentSizes, type SizeQuery } from './predict';
import type { Target } from './draw';

/** A reading that could be taken now. */
interface ReadingCandidate {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  /** The print it would be read on. */
  readonly print: string;
  /** Standard uncertainty of the planned mean of repeats, mm. */
  readonly u_mm: number;
  readonly instrument?: string;
}

export interface ReadingGain {
  readonly candidate: ReadingCandidate;
  /** Summed predictive variance of the targets before and after, mm². */
  readonly before: number;
  readonly after: number;
}

function targetQuery(target: Target): SizeQuery {
  return { kind: target.kind, feature: target.feature, drawnMm: target.targetMm };
}

/**
 * Which reading shrinks the summed predictive variance of the targets most: closed form at every node, mixed by weight.
 * Best first. The bias of the caliper counts as noise that the reading cannot see past.
 * Source: D. J. C. MacKay, Neural Computation 4 (1992) 590 (expected variance of a query).
 */
export function rankNextReadings(
  signature: Signature,
  targets: readonly Target[],
  candidates: readonly ReadingCandidate[],
): ReadingGain[] {
  const { posterior } = signature;
  const { nodes, weights, model } = posterior;
  const wanted = targets.map((target) => latentSizes(posterior, targetQuery(target)));
  const before = wanted.reduce(
    (sum, sizes) => sum + sizes.reduce((own, size, node) => own + weights[node] * size.variance, 0),
    0,
  );
  const gains = candidates.map((candidate) => {
    const read = latentSizes(posterior, { ...candidate, print: candidate.print });
    const seen = model.prints.includes(candidate.print);
    const drift = driftRow(candidate.kind, candidate.drawnMm);
    const unseen = seen ? 0 : (drift.edge * DRIFT_EDGE_SD_MM) ** 2 + (drift.scale * DRIFT_SCALE_SD) ** 2;
    const jaw = candidate.kind.sense === 'pitch' ? undefined : candidate.kind.sense;
    const key = jaw === undefined ? undefined : biasKey(candidate.instrument ?? '', jaw);
    const mpe = posterior.instruments[candidate.instrument ?? '']?.mpeMm ?? 0;
    // A jaw already used is partly known; its prior variance is the cautious side.
    const noise = candidate.u_mm ** 2 + unseen + (key === undefined ? 0 : mpe ** 2 / 3);
    let gained = 0;
    wanted.forEach((sizes, t) => {
      const sameFeature = targets[t].feature === candidate.feature;
      for (let node = 0; node < nodes.length; node++) {
        const shared = sameFeature ? nodes[node].tauB ** 2 : 0;
        const covariance = latentCovariance(sizes[node], read[node], shared);
        gained += (weights[node] * covariance ** 2) / (read[node].variance + noise);
      }
    });
    return { candidate, before, after: before - gained };
  });
  return gains.sort((a, b) => a.after - b.after);
}
