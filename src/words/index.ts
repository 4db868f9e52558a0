export { describeCsvIssue } from './csv-issues';
export { describeImportIssue, describeKeepIssue } from './exchange-issues';
export {
  describeBodyNote,
  describeFastening,
  describeFasteningReason,
  describeFasteningSize,
  describeGapDirection,
  describeGaugeChoice,
  describeGaugeIssue,
  describeIsoIssue,
  describeJoint,
  describeLadderNote,
  describeMaterial,
  describePlace,
  describePress,
  describeRuin,
  describeRungOutcome,
  describeSheetIssue,
  describeWish,
} from './fit-words';
export { describeFormIssue } from './form-issues';
export { describeChangeIssue, type ChangeIssue } from './job-issues';
export {
  describeDoubt,
  describeKindIssue,
  describeLengthIssue,
  describeLengthNote,
  formatChance,
  formatMm,
  formatSigned,
} from './lengths';
export { describeMeasureIssue, describeMeshFaults, describeMeshIssue } from './mesh-issues';
export { UNIT_WORDS } from './mesh-issues';
export {
  describeFitWord,
  describeKind,
  describeOutcome,
  describeRule,
  describeSettling,
  describeVerdict,
  parameterWords,
} from './verdicts';
export { describeAcceptanceTest, describeAnswer, describeClaim, describeOrigin } from './need-words';

export * from './resin-advice';
export * from './resin-words';
export * from './finding-words';
