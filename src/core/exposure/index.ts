export { convertExposure, type ConvertedExposure, type Engine, ENGINES } from './another-machine';
export { type BottomAnswer, type BottomAsk, compareBottoms, type FootSeen } from './bottom';
export {
  bracketExposures,
  type BracketAsk,
  type BracketIssue,
  type BracketOutcome,
  type BracketVerdict,
  type ExposureChance,
  readBracket,
} from './bracket';
export {
  chooseCorrectionMethod,
  compareCorrectionMethods,
  type CorrectionMethod,
  type CorrectionMethodAsk,
  CORRECTION_METHODS,
  type CorrectionMethodSize,
  type CorrectionMethodWorth,
} from './correction-methods';
export {
  answersForLayer,
  equalOvercure,
  LAYER_RULES,
  type LayerAnswer,
  type LayerChange,
  type LayerRule,
  thickestLayer,
} from './new-layer';
export { edgeOfWall, type WallDoubts, type WallEdge, type WallIssue, type WallRead } from './one-wall';
export {
  edgeAt,
  edgeCurve,
  type EdgeLaw,
  type EdgePoint,
  type EdgeObservation,
  leastExposure,
  learnEdgeLaw,
  slopeOf,
  type ExposureChangeAsk,
  type ExposureChangeIssue,
  stepOfExposureChange,
  type ExposureChangeStep,
  zeroRatio,
} from './exposure-change';
export { depthAt, fitWorkingCurve, type Strip, type StripIssue, type WorkingCurve } from './working-curve';
