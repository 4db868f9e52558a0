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
  idField,
  LONGEST_MM,
  numberField,
  optionalNumber,
  parseForm,
  refuse,
  textField,
  tickField,
} from './input-fields';
export { finite } from './input-numbers';
export { type CsvIssue, type CsvRow, formatTable, MOST_CSV_ROWS, parseTable } from './input-table';
export { optionalChoice, orNull, ticked, ticks } from './input-ticks';
export { describeFormIssue } from './words-fields';
export {
  describeDoubt,
  describeKindIssue,
  describeLengthIssue,
  describeLengthNote,
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
