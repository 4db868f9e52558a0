export { type BodyInput, bodyInput, interfacesIn, sheetFormOf, sheetKindForm } from './input-sheet';
export { type BodyIssue, describeBodyIssue, describeTakeOverIssue } from './words-issues';
export { describeSheetEntry, type SheetEntry } from './words-decisions';
export { describeBodyNote, describePlace, describeSheetIssue } from './words-sheet';
