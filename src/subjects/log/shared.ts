export { parseCauseJson, parsePlacesJson } from './input-cause-json';
export { describeLayer, type Layered, type LayerRead, readLayer } from './input-height';
export { careInput, causeInput, failureInput, type FailureNoted, testInput } from './input-log';
export { BY_WORDS, describeGroup } from './words-rates';
export { describeLogEntry, type LogEntry } from './words-ledger';
export {
  CARE_WORDS,
  CAUSE_WORDS,
  describeCauseIssue,
  DUE_WORDS,
  describeCommon,
  describeEvidence,
  describeLogIssue,
  describePlaceIssue,
  KIND_WORDS,
  type LogIssue,
  MEND_WORDS,
  TEST_WORDS,
} from './words-log';
