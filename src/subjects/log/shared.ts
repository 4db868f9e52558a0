export { parseCauseJson, parsePlacesJson } from './input-cause-json';
export { lineForm, type LineName, lineNameInput, priorForm } from './input-tables';
export { describeLayer, type Layered, type LayerRead, readLayer } from './input-height';
export {
  careBackInput,
  careInput,
  causeInput,
  clearingInput,
  failureInput,
  type FailureNoted,
  lookOverInput,
  testInput,
  testNameInput,
} from './input-log';
export { BY_WORDS, describeGroup } from './words-rates';
export { describeLogEntry, type LogEntry } from './words-ledger';
export {
  CAUSE_WORDS,
  describeCauseIssue,
  describeCommon,
  describeEvidence,
  describePlaceIssue,
  KIND_WORDS,
  MEND_WORDS,
  TEST_WORDS,
} from './words-log';
export {
  BECAUSE_WORDS,
  CARE_WORDS,
  CHECK_CAUTIONS,
  checkWords,
  CLEARING_CAUTIONS,
  clearingWords,
  describeFilmRisk,
  describeLogIssue,
  GLANCE_WORDS,
  type LogIssue,
} from './words-care';
export { stockForm } from './input-stock';
export { describeStock, describeStockIssue, type StockIssue } from './words-stock';
export { describeLayerFacts, describeTwin } from './words-heights';
