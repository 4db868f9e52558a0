export {
  askChecklist,
  CHECKLIST_KEYS,
  type ChecklistKey,
  type ChecklistQuestion,
  checklistQuestion,
} from './checklist';
export type { ChecklistInput, NightCosts } from './question';
