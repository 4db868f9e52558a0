export { checkRulesForm, classesForm, houseForm } from './input-house';
export { schoolsForm } from './input-schools';
export { SCHOOL_WORDS, SIDE_WORDS } from './words-schools';
