export { done, faulty, type FormAnswer, refused, UNTOUCHED } from './input-answer';
export { LONGEST_MM } from './input-bounds';
export {
  type CellIssue,
  kindCells,
  readChoice,
  readKind,
  readName,
  readNeeded,
  readNeededNumber,
  readNumber,
  readSize,
  type RowIssue,
} from './input-cells';
export {
  choiceField,
  dayField,
  type FieldIssue,
  type FieldWords,
  idField,
  issuesOf,
  numberField,
  numberOrNull,
  numbersField,
  optionalChoice,
  optionalId,
  optionalNumber,
  parseForm,
  refuse,
  textField,
  ticked,
  tickField,
  tickFields,
  wordsOfField,
} from './input-fields';
export { finite } from './input-numbers';
export { type CsvIssue, type CsvRow, formatTable, MOST_CSV_ROWS, parseTable } from './input-table';
export { describeFaults, describeFieldIssue } from './words-fields';
export { describeTakenName, GONE_WORDS } from './words-gone';
export {
  describeDoubt,
  describeKindIssue,
  describeLengthNote,
  describeQuantityIssue,
  formatChance,
  formatMm,
  formatSigned,
} from './words-lengths';
export { percent, round } from './words-numbers';
export { describeCsvIssue } from './words-tables';
export {
  describeFitWord,
  describeKind,
  describeOutcome,
  describeRule,
  describeSettling,
  describeVerdict,
} from './words-verdicts';
