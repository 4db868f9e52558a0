import 'server-only';

export { simulatedBend } from './bend-bar';
export { closeJaws } from './close-jaws';
export { cureStrips, exposeGauges } from './expose';
export {
  askSimulated,
  PRINTER_WORDS,
  type PrinterReport,
  printerReport,
  type PrinterWord,
  startSimulated,
  tellSimulated,
} from './networked-printer';
export { readSimulatedRoom, type ScaleShown, weighSimulated } from './scale-and-thermometer';
export { machineAt, simulatedSize } from './printer';
export {
  askStation,
  openStation,
  startStation,
  type Station,
  type StationReport,
  stationReport,
  STATIONS,
} from './stations';
export { lookAtRun, repairSimulated, type SeenPiece, setTrouble, testOnSimulated } from './troubles';
export { touchSimulatedGapStep } from './touch-gap-step';
