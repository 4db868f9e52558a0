export { done, faulty, type FormAnswer, refused, TAP_KEY_FIELD, UNTOUCHED } from './input-answer';
export {
  type CellIssue,
  kindCells,
  readChoice,
  readKind,
  readName,
  readNeeded,
  readNeededNumber,
  readNumber,
  readPlace,
  readText,
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
export { describeJsonIssue, type JsonIssue, parseJson, readJsonText, shapedBy } from './input-json';
export { day, finite, line } from './input-numbers';
export { decodeText } from './input-text';
export {
  type CsvIssue,
  type CsvRow,
  formatTable,
  MOST_CSV_ROWS,
  parseTable,
  tableSteps,
} from './input-table';
export { describeFaults, describeFieldIssue } from './words-fields';
export { describeTakenName, GONE_WORDS } from './words-gone';
export { describeDoubt, describeKindIssue, describeLengthNote, describeQuantityIssue } from './words-lengths';
export { describeCsvIssue } from './words-tables';
export {
  describeFitWord,
  describeKind,
  describeConverted,
  describeOtherState,
  describeOutcome,
  describeRule,
  describeSettling,
  describeVerdict,
} from './words-verdicts';
export { describeMaterial, describeRuin, describeWish } from './words-fits';
export { parameterWords } from './words-parameters';
