import type { NormalMixture } from '@/core/kit/numerics';
import { latentCovariance } from './latent-size';
import { latentSizes, predictSize, type SizeQuery } from './predict';
import type { Signature } from './estimate';

/** One size in a sum of sizes: +1 for a hole, −1 for the shaft in it, any factor in a chain. */
export interface SizeTerm {
  readonly query: SizeQuery;
  readonly factor: number;
}

/**
 * Returns Σ factor·size of features printed together: a mixture of normals, mm. What the features share (the law, the
 * drift of their print) cancels or adds; repeatable deviations and chances are independent. Terms are different
 * features of one print. Example: hole − pin gives the clearance of a joint printed in place.
 */
export function predictCombination(signature: Signature, terms: readonly SizeTerm[]): NormalMixture {
  const { posterior } = signature;
  const mixtures = terms.map(({ query }) => predictSize(signature, query));
  const latent = terms.map(({ query }) => latentSizes(signature, query));
  const means = new Float64Array(posterior.weights.length);
  const variances = new Float64Array(posterior.weights.length);
  for (let node = 0; node < means.length; node++) {
    for (let i = 0; i < terms.length; i++) {
      means[node] += terms[i].factor * mixtures[i].means[node];
      variances[node] += terms[i].factor ** 2 * mixtures[i].variances[node];
      for (let j = 0; j < i; j++) {
        const covariance = latentCovariance(latent[i][node], latent[j][node], posterior.nodes[node]);
        variances[node] += 2 * terms[i].factor * terms[j].factor * covariance;
      }
    }
    variances[node] = Math.max(variances[node], 1e-12);
  }
  return { weights: posterior.weights, means, variances };
}
