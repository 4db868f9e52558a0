export {
  asDiameter,
  estimateBody,
  READ_AS,
  type BodyNote,
  type BodySize,
  type PlacedReading,
  type ReadAs,
} from './body';
export { judgeConformity, type DecisionRule, type Limits, type Settling, type Verdict } from './conformity';
export {
  AXES,
  BASES,
  findKindIssue,
  jawOf,
  PART_STATES,
  sameKind,
  SENSES,
  SHAPES,
  type Axis,
  type Base,
  type FeatureKind,
  type FeatureKindIssue,
  type Jaw,
  type PartState,
  type Sense,
  type Shape,
} from './feature';
export {
  correctReading,
  DEFAULT_INSTRUMENT,
  RESIN_EXPANSION_PER_K,
  type Instrument,
  type ReadingConditions,
} from './instrument';
export { outcomeOf, type JudgedFeature, type Outcome } from './outcome';
export { parseLength, type LengthIssue, type LengthNote, type ParsedLength } from './parse-length';
export { findDoubt, swapNeighbouringDigits, type Doubt } from './plausibility';
export {
  estimateSize,
  meanOf,
  pooledScatter,
  repeatU,
  scatterOfReading,
  squaresAround,
  type PooledScatter,
  type SizeEstimate,
  type SizeOptions,
} from './size';
