import 'server-only';

export { importReadings, importReadingsSteps } from './import-readings';
export { noteBroken } from './note-broken';
export { recordReading, recordReadings } from './record-reading';
export { recordTry } from './record-try';
export { takeBackReading } from './take-back-reading';
export { exportReadings } from './view-readings-file';
export { sitDown } from './view-sitting';
export { boundsByWords, type WordBounds } from './view-word-bounds';
