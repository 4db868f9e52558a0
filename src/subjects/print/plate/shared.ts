export { describePlateEntry, type PlateEntry } from './words-decisions';
export { describePlaceIssue, describePlateIssue, describeVatIssue, type PlateIssue } from './words-plate';
export {
  addForm,
  aroundForm,
  copiesForm,
  endForm,
  checklistInput,
  layersInput,
  layForm,
  moveInput,
  pourForm,
  stopForm,
  vatForm,
  weighForm,
} from './input-plate';
