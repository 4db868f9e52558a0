export { creepAgainForm, PROOF_COLUMNS, PROOF_FORMS, PROOF_ROWS, type ProofColumn } from './input-proofs';
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
export { describeCardReason, describeCardStep, nameCardStep } from './words-card';
export {
  describeBlendIssue,
  describeResinSheetIssue,
  describeShelfChangeIssue,
  describeUnitIssue,
  type ShelfChangeIssue,
} from './words-issues';
export { describeBendNote, describeProofIssue, describeProofKind, describeProofResult } from './words-proofs';
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
