export {
  FATAL_CODES,
  LEAST_WALL_MM,
  SHEET_KINDS,
  type DimensionLine,
  type InterfaceWish,
  type SheetDefinition,
  type SheetDrawing,
  type SheetFeature,
  type SheetInterface,
  type SheetIssue,
  type SheetKind,
  type SheetMeasure,
  type SheetOption,
} from './definition';
export {
  nextPlace,
  optionOf,
  SHEETS,
  workOutSheet,
  type Sheet,
  type SheetChoices,
  type SheetInput,
} from './sheet';
