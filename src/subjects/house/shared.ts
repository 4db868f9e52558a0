export { checkRulesForm, classesForm, houseForm } from './input-house';
export { careRulesForm, type HouseCare } from './input-care-rules';
export {
  type PresenceWindow,
  readWindows,
  RUN_DEFAULTS,
  type RunRules,
  runRulesForm,
  WEEKDAYS,
  writeWindows,
} from './input-run-rules';
export { schoolsForm } from './input-schools';
export { SHARED_BY, sharesForm } from './input-shares';
export { describeLiquid } from './words-liquids';
export { describeOriginalIssue, type OriginalIssue } from './words-originals';
export { describeBytes, describeRestoreIssue } from './words-restore';
export { SCHOOL_GROUPS, SCHOOL_WORDS, SIDE_WORDS } from './words-schools';
export { AT_MACHINE_WORDS } from './words-sharing';
export { describeStorageTrouble, type StorageTrouble } from './words-storage';
export { describeBenchTrouble, isMendedByRestore } from './words-trouble';
