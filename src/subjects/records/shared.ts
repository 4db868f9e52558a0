export { describeKeepIssue } from './words-keep';
export { describeToldEntry, type LedgerWords, type ToldEntry } from './words-ledger';
export { describeMeasureIssue, describeMeshFaults, describeMeshIssue, UNIT_WORDS } from './words-mesh';
