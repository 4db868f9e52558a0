export { type Bar, barStiffness, type Bend, BENDS, GRAVITY } from './bar';
export { BENCH_LIMITS, type BenchLimits, type BendNote, type BendTest } from './bend';
export {
  batchOf,
  blendCurve,
  type BlendIssue,
  type BlendPart,
  blendSheet,
  findBlendIssue,
  modulusBounds,
} from './blend';
export { type Change, findChanges } from './change';
export { type Asked, type Check, checkResin, type PrinterFacts, isRated, ratingOf } from './check';
export {
  type Evidence,
  evidenceOf,
  heatAt,
  type Known,
  modulusOf,
  type ResinFile,
  strengthOfResin,
} from './evidence-of';
export { type CardStep, type PartFacts, processCard, togetherFacts } from './process-card';
export {
  describeCardReason,
  describeCardStep,
  minutesOfStep,
  type ProcessStep,
  processStepOf,
  stateAfter,
} from './process-steps';
export { LAMP, stepsAfterPrint, WASH } from './steps-after-print';
export {
  type ResinTest,
  RESIN_TEST_KINDS,
  type ResinTestIssue,
  type ResinTestKind,
  type ResinTestResult,
  type ResinTestData,
  workOutResinTest,
} from './resin-test';
export { isProperty, PROPERTIES, PROPERTY_IDS, type PropertyFacts, type PropertyId } from './properties';
export { COST_FACTS, type CostFacts, nearestResins, type Ranked, rankResins } from './rank';
export {
  ASSUMED_STRESS_MPA,
  CRITERIA,
  type Criterion,
  EVEN_WEIGHTS,
  findRequirementIssue,
  hottestOf,
  type Impact,
  IMPACTS,
  NO_REQUIREMENT,
  type Requirement,
  type RequirementIssue,
  type Weights,
} from './requirement';
export { BATHS, SAG_STRAIN } from './sag';
export { needOfSection, type SectionNeed } from './section';
export {
  ALONE,
  type Alone,
  CLARITIES,
  type Clarity,
  type Condition,
  CONDITIONS,
  EMPTY_SHEET,
  FAMILIES,
  type Family,
  findSheetIssues,
  LOW_TEST_MPA,
  type Quote,
  quoteOf,
  type ResinSheet,
  type ResinSheetIssue,
  type Source,
  SOURCES,
  describeLiquid,
  WASH_LIQUIDS,
  type WashLiquid,
} from './sheet';
export { leftByWeight, type RecipePart, type ShelfEntry } from './shelf';
export { SHIPPED_SHELF } from './shipped-shelf';
export { convertValue, type UnitIssue, unitsFor } from './units';
