export { boxProbability } from './box-probability';
export {
  backwardSolve,
  choleskyInPlace,
  forwardSolve,
  invertSymmetric,
  solveSymmetric,
  type NotPositiveDefinite,
} from './cholesky';
export {
  mixtureCdf,
  mixtureInterval,
  mixtureMoments,
  mixtureQuantile,
  type Moments,
  type NormalMixture,
} from './mixture';
export { normalCdf, normalDensity, normalQuantile } from './normal';
export { seededRandom, seedFrom, type SeededRandom } from './seeded-random';
export { logGamma, regularisedBeta, studentTQuantile } from './student-t';
