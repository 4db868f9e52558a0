export { featureForm, kindFields, newJobForm } from './input-job';
export { formatTargetsCsv, parseTargetsCsv } from './input-targets-csv';
export { describeFeatureEffect } from './words-feature-effect';
export {
  CHANGED_ELSEWHERE_WORDS,
  describeJobIssue,
  describeStartIssue,
  type StartIssue,
} from './words-issues';
export { describeJobEntry, type JobEntry } from './words-decisions';
export { describeReopened, describeReopenedJobs, type Reopened } from './words-reopened';
