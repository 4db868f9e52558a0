export { type ChangeIssue, describeChangeIssue } from './words-issues';
