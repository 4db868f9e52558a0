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
  chooseLever,
  compareLevers,
  type Lever,
  type LeverAsk,
  LEVERS,
  type LeverSize,
  type LeverWorth,
} from './levers';
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
  type EdgeLaw,
  type EdgeObservation,
  leastExposure,
  learnEdgeLaw,
  slopeOf,
  type TrimAsk,
  type TrimIssue,
  trimStep,
  type TrimStep,
  zeroRatio,
} from './trim';
export { depthAt, fitWorkingCurve, type Strip, type StripIssue, type WorkingCurve } from './working-curve';
