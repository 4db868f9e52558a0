export {
  asDiameter,
  type BodyNote,
  type BodySize,
  estimateBody,
  type PlacedReading,
  READ_AS,
  type ReadAs,
} from './body';
export { type Bounds, BOUNDS, isWithin, LARGEST_NUMBER, LONGEST_MM } from './bounds';
export {
  DECISION_RULES,
  type DecisionRule,
  judgeConformity,
  type Limits,
  type Settling,
  type Verdict,
} from './conformity';
export {
  AXES,
  type Axis,
  type Base,
  BASES,
  type FeatureKind,
  type FeatureKindIssue,
  findKindIssue,
  type Jaw,
  JAWS,
  jawOf,
  PART_STATES,
  type PartState,
  sameKind,
  type Sense,
  SENSES,
  type Shape,
  SHAPES,
} from './feature';
export {
  correctReading,
  DEFAULT_INSTRUMENT,
  type Instrument,
  RESIN_EXPANSION_PER_K,
  type Warmth,
  warmthU,
} from './instrument';
export { jawBias, pieceVariance } from './jaw-bias';
export { type Outcome, outcomeOf } from './outcome';
export { type LengthNote, parseLength } from './parse-length';
export { type Doubt, findDoubt, guessOf, swapNeighbouringDigits } from './plausibility';
export { parseQuantity, type Quantity, type QuantityIssue, unitOf, valueIn } from './quantity';
export {
  estimateSize,
  meanOf,
  pooledScatter,
  type PooledScatter,
  repeatU,
  scatterOfReading,
  type SizeEstimate,
  shiftSize,
  squaresAround,
  type JawBias,
} from './size';
export { type Chamfer, chamferFor, type Flare, flareOf, flareOfPrint, type FootReading } from './foot';
