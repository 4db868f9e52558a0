export { bodyForm, sheetForm } from './input-sheet';
export { describeBodyNote, describePlace, describeSheetIssue } from './words-sheet';
