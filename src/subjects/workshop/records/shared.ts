export { describeKeepIssue } from './words-keep';
export { describeToldEntry, type DecisionWords, type ToldEntry } from './words-decisions';
export { describeMeasureIssue, describeMeshFaults, describeMeshIssue, UNIT_WORDS } from './words-mesh';
