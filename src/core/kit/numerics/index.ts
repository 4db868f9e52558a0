export { boxProbability } from './box-probability';
export { backwardSolve, choleskyInPlace, forwardSolve, invertSymmetric, solveSymmetric } from './cholesky';
export { halfWidth95, Z_80, Z_90, Z_95 } from './coverage';
export { mixtureCdf, mixtureInterval, mixtureMoments, mixtureQuantile, type NormalMixture } from './mixture';
export { normalCdf, normalDensity, normalQuantile } from './normal';
export { seededRandom, type SeededRandom, seedFrom } from './seeded-random';
export { logGamma, regularisedBeta, studentTQuantile } from './student-t';
