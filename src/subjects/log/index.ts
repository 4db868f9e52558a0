import 'server-only';

export { decidingFile } from './deciding-files';
export { changeLine, changePrior, dropEdit } from './change-tables';
export { answerClearing, noteMaintenance, noteLookOver, takeBackMaintenance } from './keep-maintenance';
export { keepCause, keepTest, noteFailure, noteWell, takeBackFailure } from './keep-failure';
export { type MaintenanceView, maintenanceOf, listDueMaintenance } from './view-maintenance';
export { noteSimulated, testSimulated } from './look-simulated';
export { countStock, putStockAway } from './keep-stock';
export { type ClearingView, viewClearing } from './view-clearing';
export { type CaseView, listFailuresOf, placeOfPrint, type TestView, viewCase } from './view-case';
export { type LogView, type PlacedFailure, viewLog } from './view-log';
export { type RateGroup } from './view-rates';
export { listStockLeft, type StockView } from './view-stock';
