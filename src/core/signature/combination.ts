import type { NormalMixture } from '@/core/numerics';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow } from './law';
import { latentCovariance } from './node';
import { latentSizes, predictSize, type SizeQuery } from './predict';
import type { Signature } from './estimate';

/** One size in a sum of sizes: +1 for a hole, −1 for the shaft in it, any factor in a chain. */
export interface SizeTerm {
  readonly query: SizeQuery;
  readonly factor: number;
}

/**
 * Σ factor·size of features printed together: a mixture of normals, mm. What the features share (the law, the drift of
 * their print) cancels or adds as it really does; habits and chances are each their own.
 * Terms are different features of one print. Example: hole − pin gives the clearance of a joint printed in place.
 */
export function predictCombination(signature: Signature, terms: readonly SizeTerm[]): NormalMixture {
  const { posterior } = signature;
  const mixtures = terms.map(({ query }) => predictSize(signature, query));
  const latent = terms.map(({ query }) => latentSizes(posterior, query));
  const drift = terms.map(({ query }) => driftRow(query.kind, query.drawnMm));
  const means = new Float64Array(posterior.weights.length);
  const variances = new Float64Array(posterior.weights.length);
  for (let node = 0; node < means.length; node++) {
    for (let i = 0; i < terms.length; i++) {
      means[node] += terms[i].factor * mixtures[i].means[node];
      variances[node] += terms[i].factor ** 2 * mixtures[i].variances[node];
      for (let j = 0; j < i; j++) {
        const shared =
          drift[i].edge * drift[j].edge * DRIFT_EDGE_SD_MM ** 2 +
          drift[i].scale * drift[j].scale * DRIFT_SCALE_SD ** 2;
        const covariance = latentCovariance(latent[i][node], latent[j][node], shared);
        variances[node] += 2 * terms[i].factor * terms[j].factor * covariance;
      }
    }
    variances[node] = Math.max(variances[node], 1e-12);
  }
  return { weights: posterior.weights, means, variances };
}
