export { checkRulesForm, classesForm, houseForm } from './input-house';
export { schoolsForm } from './input-schools';
export { describeLiquid } from './words-liquids';
export { describeRestoreIssue } from './words-restore';
export { SCHOOL_WORDS, SIDE_WORDS } from './words-schools';
