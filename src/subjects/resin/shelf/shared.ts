export {
  creepAgainForm,
  RESIN_TEST_COLUMNS,
  RESIN_TEST_FORMS,
  RESIN_TEST_ROWS,
  type ResinTestColumn,
} from './input-resin-tests';
export {
  blendForm,
  bottleForm,
  factsForm,
  leftForm,
  quoteForm,
  resinForm,
  vatForm,
  wordList,
} from './input-resin';
export { formatShelfJson, parseShelfJson } from './input-shelf-json';
export {
  describeBlendIssue,
  describeResinSheetIssue,
  describeShelfChangeIssue,
  describeUnitIssue,
  type ShelfChangeIssue,
} from './words-issues';
export {
  describeBendNote,
  describeResinTestIssue,
  describeResinTestKind,
  describeResinTestResult,
} from './words-resin-tests';
export {
  describeAlone,
  describeBend,
  describeClarity,
  describeCondition,
  describeFamily,
  describeImpact,
  describeProperty,
  describeQuote,
  describeSource,
  formatProperty,
  plain,
} from './words-resin';
export { describeShelfIssue } from './words-shelf';
