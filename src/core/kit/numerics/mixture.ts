import { normalCdf } from './normal';

/** A weighted mixture of normal distributions; three parallel arrays, weights sum to one. */
export interface NormalMixture {
  readonly weights: Float64Array;
  readonly means: Float64Array;
  readonly variances: Float64Array;
}

interface Moments {
  readonly mean: number;
  readonly sd: number;
}

/** Mean and standard deviation: the spread of the means adds to the mean of the spreads. */
export function mixtureMoments({ weights, means, variances }: NormalMixture): Moments {
  let mean = 0;
  for (let i = 0; i < weights.length; i++) mean += weights[i] * means[i];
  let variance = 0;
  for (let i = 0; i < weights.length; i++) {
    const apart = means[i] - mean;
    variance += weights[i] * (variances[i] + apart * apart);
  }
  return { mean, sd: Math.sqrt(variance) };
}

/** P(X ≤ x). */
export function mixtureCdf({ weights, means, variances }: NormalMixture, x: number): number {
  let sum = 0;
  for (let i = 0; i < weights.length; i++) {
    sum += weights[i] * normalCdf((x - means[i]) / Math.sqrt(variances[i]));
  }
  return sum;
}

/** P(low ≤ X ≤ high). */
export function mixtureInterval(mixture: NormalMixture, low: number, high: number): number {
  return Math.max(0, mixtureCdf(mixture, high) - mixtureCdf(mixture, low));
}

/** The x with P(X ≤ x) = p by bisection, to 1e-12 of the mixture's standard deviation. */
export function mixtureQuantile(mixture: NormalMixture, p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('mixtureQuantile: p must lie between 0 and 1');
  const { mean, sd } = mixtureMoments(mixture);
  let low = mean - sd;
  let high = mean + sd;
  while (mixtureCdf(mixture, low) > p) low -= 2 * sd;
  while (mixtureCdf(mixture, high) < p) high += 2 * sd;
  while (high - low > 1e-12 * sd) {
    const middle = (low + high) / 2;
    if (mixtureCdf(mixture, middle) < p) low = middle;
    else high = middle;
    if (middle === low && middle === high) break;
    if ((low + high) / 2 === low || (low + high) / 2 === high) break;
  }
  return (low + high) / 2;
}
