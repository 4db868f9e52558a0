export { findingForm, findingsInput, foundFeatureForm, stanceForm, turnInput } from './input-check';
export { CHANCE_WORDS, describeFinding, describeWhere, RISK_WORDS } from './words-findings';
export { describeFits, describePose, describeStance, SOURCE_WORDS, STATION_WORDS } from './words-stance';
