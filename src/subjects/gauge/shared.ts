export { gaugeForm, type RungInput, rungInput } from './input-gauge';
export { formatOutcomesCsv, parseOutcomesCsv } from './input-outcomes-csv';
export { describeGaugeChoice, describeGaugeIssue } from './words-gauge';
export { describeJointParts } from './words-joint-parts';
export { describeGapDirection, describeJoint, describeLadderNote, describeRungOutcome } from './words-ladder';
export { describeGaugeEntry, type GaugeEntry } from './words-ledger';
