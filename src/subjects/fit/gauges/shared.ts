export { gaugeForm, type GapStepInput, gapStepInput } from './input-gauge';
export { formatOutcomesCsv, parseOutcomesCsv } from './input-outcomes-csv';
export { describeGaugeIssue } from './words-gauge';
export { describeJointParts } from './words-joint-parts';
export {
  describeGapDirection,
  describeJoint,
  describeGapTestNote,
  describeGapStepOutcome,
} from './words-gap-test';
export { describeGaugeEntry, type GaugeEntry } from './words-decisions';
