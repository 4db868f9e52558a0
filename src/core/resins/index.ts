export {
  barStiffness,
  barStrain,
  barStress,
  BENDS,
  deflectionForStrain,
  GRAVITY,
  type Bar,
  type Bend,
} from './bar';
export {
  BENCH_LIMITS,
  estimateModulus,
  type BenchLimits,
  type BendIssue,
  type BendNote,
  type BendResult,
  type BendTest,
  type LoadStep,
} from './bend';
export {
  batchOf,
  blendCurve,
  blendSheet,
  findBlendIssue,
  foxTransition,
  massFractions,
  modulusBounds,
  type BatchLine,
  type BlendCurvePoint,
  type BlendIssue,
  type BlendPart,
  type ModulusBounds,
} from './blend';
export { strainAtBreak, type BreakIssue, type BreakResult, type BreakTest } from './break-strain';
export { findChanges, type Change } from './change';
export {
  checkResin,
  HARDNESS_ROOM,
  MOST_VISCOSITY_MPAS,
  PIXELS_PER_FEATURE,
  type Asked,
  type Check,
  type CheckState,
  type PrinterFacts,
} from './check';
export { creepDrift, type CreepResult, type CreepTest } from './creep';
export { deflectionAt, stressAllowing, type HeatPoint } from './deflection';
export { judgeDrops, type DropIssue, type DropResult, type DropTrial } from './drop';
export {
  evidenceOf,
  heatAt,
  intervalOf,
  modulusOf,
  strengthOfResin,
  viscosityOf,
  type Evidence,
  type Interval,
  type Known,
  type ResinFile,
} from './evidence';
export {
  DEFAULT_SCHOOLS,
  processCard,
  SCHOOLS,
  type CardStep,
  type School,
  type Schools,
} from './process-card';
export {
  PROOF_KINDS,
  provenHeat,
  provenQuote,
  workOutProof,
  type Proof,
  type ProofIssue,
  type ProofKind,
  type ProofResult,
  type ProofTest,
  type ProvenHeat,
} from './proof';
export {
  isProperty,
  PROPERTIES,
  PROPERTY_IDS,
  type PropertyFacts,
  type PropertyId,
  type Unit,
} from './properties';
export {
  COST_FACTS,
  distanceOf,
  meritsOf,
  nearestResins,
  rankResins,
  scoreOf,
  type CostFacts,
  type Merits,
  type Ranked,
} from './rank';
export {
  ASSUMED_STRESS_MPA,
  CRITERIA,
  EVEN_WEIGHTS,
  findRequirementIssue,
  hottestOf,
  IMPACT_NEEDS,
  IMPACTS,
  NO_REQUIREMENT,
  ratingsNeeded,
  type Criterion,
  type Impact,
  type Requirement,
  type RequirementIssue,
  type Weights,
} from './requirement';
export {
  BATHS,
  SAG_STRAIN,
  sagTemperature,
  WATER_MOST_C,
  type Bath,
  type BathStep,
  type SagIssue,
  type SagResult,
  type SagTest,
} from './sag';
export { needOfSection, type Section, type SectionNeed } from './section';
export {
  ALONE,
  CLARITIES,
  CONDITIONS,
  EMPTY_SHEET,
  FAMILIES,
  findSheetIssues,
  HIGH_TEST_MPA,
  LOW_TEST_MPA,
  quoteOf,
  SOURCES,
  WASH_LIQUIDS,
  type Alone,
  type Clarity,
  type Condition,
  type Family,
  type Quote,
  type ResinSheet,
  type SheetIssue as ResinSheetIssue,
  type Source,
  type WashLiquid,
} from './sheet';
export { leftByWeight, type Bottle, type RecipePart, type ShelfEntry } from './shelf';
export { SHIPPED_SHELF } from './shipped-shelf';
export { convertValue, unitsFor, type UnitIssue } from './units';
export { viscosityAt, type ViscosityBounds, type ViscosityPoint } from './viscosity';
export {
  yellowingLimit,
  type ShadeIssue,
  type ShadeReading,
  type ShadeResult,
  type ShadeTest,
} from './yellowing';
