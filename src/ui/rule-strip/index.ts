export { RuleStrip, type StripTone } from './rule-strip';
export { stripScale, type StripValues } from './scale';
export { toneOf } from './tone';
