export {
  type DimensionLine,
  FATAL_CODES,
  type InterfaceWish,
  SHEET_KINDS,
  type SheetDrawing,
  type SheetFeature,
  type SheetIssue,
  type SheetKind,
  type SheetMeasure,
  type SheetOption,
} from './definition';
export { nextPlace, optionOf, type Sheet, type SheetChoices, SHEETS, workOutSheet } from './sheet';
