export { parseCauseJson, parsePlacesJson } from './input-cause-json';
export { lineForm, type LineName, lineNameInput, priorForm } from './input-tables';
export { describeLayer, type Layered, type LayerRead, readLayer } from './input-height';
export {
  maintenanceBackInput,
  maintenanceInput,
  causeInput,
  clearingInput,
  failureInput,
  type FailureNoted,
  lookOverInput,
  testInput,
  testNameInput,
} from './input-log';
export { BY_WORDS, describeGroup } from './words-rates';
export { describeLogEntry, type LogEntry } from './words-decisions';
export { describeCauseIssue, describePlaceIssue } from './words-log';
export { describeFilmRisk, describeLogIssue, type LogIssue } from './words-maintenance';
export { stockForm } from './input-stock';
export { describeStock, describeStockIssue, type StockIssue } from './words-stock';
export { describeLayerFacts, describeTwin } from './words-heights';
