import 'server-only';

export { answerChecklist, changeRun, reopenChecklist } from './answer-checklist';
export { endRun } from './end-run';
export { type Heard, hearPrinter } from './hear-printer';
export { keepLayers } from './keep-layers';
export { keepVat } from './keep-vat';
export { arrangePlate, layOnPlate, movePiece, putPlateAway, setCopies } from './lay-pieces';
export { keepWeighing, pourResin } from './pour-resin';
export { startRun } from './start-run';
export { type PlateForecast } from './view-forecast';
export { type ChecklistQuestion } from './view-checklist';
export { partFactsOf, partFactsOfPrint } from './part-facts';
export { bedOf, type Bed, layersKey, type PlateItem, type PlatePiece } from './view-plate';
export {
  type BottleChoice,
  findRunOf,
  forecastOfRun,
  listOpenRuns,
  type OpenRunGlance,
  type RunGlance,
  runningPrint,
  type RunView,
  viewRun,
  weighOnSimulatedScale,
  type WaitingJob,
} from './view-run';
export { plateAreas, viewItems } from './view-plate';
export { handsCostOf, printCostOf } from './rates-of-house';
export { type PrintChance, printChances } from './view-print-chance';
export { weighBlock } from './weigh-block';
export { viewWays, type WaysView } from './view-ways';
export { adviseCopies, type CopiesAdvice } from './view-copies';
