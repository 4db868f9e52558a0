export { describeKeepIssue } from './words-keep';
export { describeMeasureIssue, describeMeshFaults, describeMeshIssue, UNIT_WORDS } from './words-mesh';
