export { describeDecision } from './words-decisions';
