import 'server-only';

export { askStrain, type StrainAsked } from './ask-strain';
export { chooseResin } from './choose-resin';
export { dropOvertaken } from './drop-overtaken';
export { requirementFromNeed, requirementOf } from './requirement-of';
export { saveRequirement } from './save-requirement';
export { type Choice, verdictOfJob, viewChoice } from './view-choice';
export { explainChoice, reasonsOf, type ResinReasons } from './view-reasons';
export { reopenedResin, type ResinStanding, resinStanding } from './reopened-resin';
