export {
  BECAUSE_WORDS,
  CHECK_KINDS,
  type CheckKind,
  checkOf,
  countMaintenance,
  countsAsDone,
  isCheck,
  isSoon,
  MAINTENANCE_DEFAULTS,
  MAINTENANCE_KINDS,
  type MaintenanceCount,
  type MaintenanceEvent,
  type MaintenanceKind,
  maintenanceOf,
  type MaintenanceRules,
  type RunOfMaintenance,
} from './maintenance';
export {
  CLEARING_STEPS,
  clearingOf,
  type ClearingStep,
  describeGlances,
  type Glance,
  GLANCE_WORDS,
  GLANCES,
} from './clearing';
export {
  type EvidenceAsk,
  gatherEvidence,
  type PieceSeen,
  type PrintSeen,
  whereOnPlate,
} from './gather-evidence';
export { CAUSE_PRIOR, type Cause, causeOf, CAUSES, type Chances } from './causes';
export { type Circumstances, EVIDENCE, type Evidence, EVIDENCE_TABLE, evidenceLine } from './evidence-table';
export { FAILURE_KINDS, FAILURE_WORDS, type FailureKind } from './failure-kinds';
export {
  type CauseEdits,
  type CauseTables,
  OUR_TABLES,
  outcomeWords,
  tablesOf,
  TEST_TABLE,
  type TestName,
  TESTS,
} from './test-tables';
export {
  costedTests,
  describeEvidence,
  type FailureSeen,
  priorOf,
  readFailure,
  type SeenEvidence,
  type TestCosts,
} from './failure-reader';
export {
  afterTest,
  bitsOf,
  type ByCause,
  type CauseAsk,
  type CauseIssue,
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
  COMMON_WORDS,
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
