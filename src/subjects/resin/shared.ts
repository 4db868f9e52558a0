export { creepAgainForm, PROOF_FORMS, PROOF_ROWS } from './input-proofs';
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
export { describeCardReason, describeCardStep } from './words-card';
export { describeBlendIssue, describeResinSheetIssue, describeUnitIssue } from './words-issues';
export { describeBendNote, describeProofIssue, describeProofKind, describeProofResult } from './words-proofs';
export {
  describeAlone,
  describeBend,
  describeClarity,
  describeCondition,
  describeFamily,
  describeImpact,
  describeLiquid,
  describeProperty,
  describeQuote,
  describeSource,
  formatProperty,
  plain,
} from './words-resin';
export { describeShelfIssue } from './words-shelf';
