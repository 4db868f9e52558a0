export { TROUBLE_CHOICES, type TroubleChoice, troubleForm } from './input-trouble';
export { describeSimulatedIssue, type SimulatedIssue } from './words-issues';
