export {
  MAINTENANCE_DEFAULTS,
  MAINTENANCE_KINDS,
  CHECK_KINDS,
  countsAsDone,
  type CheckKind,
  CLEARING_STEPS,
  type ClearingStep,
  type MaintenanceAsk,
  type MaintenanceCount,
  type MaintenanceEvent,
  type MaintenanceKind,
  type MaintenanceRules,
  countMaintenance,
  type Glance,
  GLANCES,
  isSoon,
  type RunOfMaintenance,
} from './maintenance';
export {
  type Circumstances,
  type EvidenceAsk,
  gatherEvidence,
  type PieceSeen,
  type PrintSeen,
  whereOnPlate,
} from './evidence';
export {
  CAUSE_PRIOR,
  type Chances,
  type Cause,
  CAUSES,
  EVIDENCE,
  type Evidence,
  EVIDENCE_TABLE,
  FAILURE_KINDS,
  type FailureKind,
} from './cause-tables';
export {
  type CauseEdits,
  type CauseTables,
  OUR_TABLES,
  tablesOf,
  TEST_TABLE,
  type TestName,
  TESTS,
} from './test-tables';
export { costedTests, type FailureSeen, priorOf, readFailure, type TestCosts } from './failure-reader';
export {
  afterTest,
  bitsOf,
  type ByCause,
  type CauseAsk,
  type CauseIssue,
  type CauseTable,
  type CostedTest,
  entropyOf,
  foreseeTest,
  NAMED_FROM,
  namedCause,
  type Posterior,
  posteriorOf,
  rankTests,
  type Reason,
  type TestTable,
  type TestWorth,
} from './posterior';
export { type FilmLaw, type FilmPrint, filmDueFrom, filmRisk, isFilmDue, learnFilm } from './film';
export { permutationTest, type Permuted, type Stratum } from './permutation';
export { rankTest, type RanksOfPrint, type Side } from './rank-test';
export {
  areDifferent,
  chanceAbove,
  chanceOfCopy,
  type Count,
  countCopies,
  type Interval,
  jeffreysInterval,
  learnCommonShare,
  type PlateCount,
  type PooledRate,
  pooledRates,
  wilsonInterval,
} from './rates';
export { crowdedPlace, type PlaceIssue, type PlacesOfPrint, powerOfSamePlace, samePlace } from './same-place';
export {
  COMMON,
  type Common,
  holm,
  type LayersOfPrint,
  type Where,
  whereItFails,
  type WhereAsk,
  type WhereTest,
  type WhereVerdict,
} from './where';
export { type Loss, type Losses, type LossOfPrint, type LossSum, sumLosses } from './losses';
export { moreThan, type Stock, type StockAsk, stockOf } from './stock';
export { comparePull, factsOfLayer, type LayerFacts } from './layer-facts';
