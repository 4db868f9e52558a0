export { pickForm, requirementForm } from './input-choice';
export { parseRequirementJson } from './input-requirement-json';
export { strainAskedInput } from './input-strain';
export { describeChange } from './words-change';
export { type ChoiceEntry, describeChoiceEntry } from './words-decisions';
export { describeChoiceIssue, describeRequirementIssue } from './words-requirement';
export {
  describeAsked,
  describeCheck,
  describeCriterion,
  describeHave,
  describeRanked,
  describeVerdictOfResin,
} from './words-verdict';
