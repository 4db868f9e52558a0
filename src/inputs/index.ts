export {
  checkRulesForm,
  findingForm,
  findingsInput,
  foundFeatureForm,
  stanceForm,
  stationsForm,
  turnInput,
} from './check-forms';
export { houseForm, instrumentForm, profileForm, sessionForm } from './bench-forms';
export { formatTable, MOST_CSV_ROWS, parseTable, type CsvIssue, type CsvRow } from './csv-table';
export { formatOutcomesCsv, parseOutcomesCsv, type OutcomesCsvIssue } from './outcomes-csv';
export {
  bodyForm,
  classesForm,
  gaugeForm,
  jointForm,
  rungForm,
  sheetForm,
  strengthForm,
  wishForm,
} from './fit-forms';
export { parseForm, type FieldIssue, type FormIssue } from './form-fields';
export { answerForm, attemptForm, claimFieldName, featureForm, needForm, newJobForm } from './job-forms';
export { readingInput, tryInput, type ReadingInput, type TryInput } from './reading-input';
export { formatReadingsCsv, parseReadingsCsv, type ReadingRow, type ReadingsCsvIssue } from './readings-csv';
export { formatTargetsCsv, parseTargetsCsv, type TargetsCsvIssue } from './targets-csv';
export { chainInput, strainAskedInput, wantedSizesInput } from './desk-inputs';
export { creepAgainForm, PROOF_FORMS, PROOF_ROWS, type ProofInput } from './proof-forms';
export { parseRequirementJson, type RequirementJsonIssue } from './requirement-json';
export {
  blendForm,
  bottleForm,
  factsForm,
  leftForm,
  pickForm,
  quoteForm,
  requirementForm,
  resinForm,
  schoolsForm,
  vatForm,
} from './resin-forms';
export { formatShelfCsv, parseShelfCsv, type ShelfCsvIssue } from './shelf-csv';
export {
  findNameIssues,
  formatShelfJson,
  MOST_RESINS,
  parseShelfJson,
  type BadRow,
  type ShelfIssue,
} from './shelf-json';
