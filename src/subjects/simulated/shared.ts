export { describeSimulatedIssue, type SimulatedIssue } from './words-issues';
