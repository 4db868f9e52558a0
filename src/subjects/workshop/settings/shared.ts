export { checkRulesForm, classesForm, houseForm } from './input-house';
export { maintenanceRulesForm, type HouseMaintenance } from './input-maintenance-rules';
export {
  type PresenceWindow,
  readWindows,
  RUN_DEFAULTS,
  type RunRules,
  runRulesForm,
  WEEKDAYS,
  writeWindows,
} from './input-run-rules';
export { practicesForm } from './input-practices';
export { SHARED_BY, sharesForm } from './input-shares';
export { describeOriginalIssue, type OriginalIssue } from './words-originals';
export { describeBytes, describeRestoreIssue } from './words-restore';
export { AT_MACHINE_WORDS } from './words-sharing';
export { describeStorageTrouble, type StorageTrouble } from './words-storage';
export { describeBenchTrouble, isRepairedByRestore } from './words-trouble';
