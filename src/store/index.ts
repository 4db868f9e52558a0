export { type Connection, type Db, openDb } from './client';
export * from './bench';
export { prepareInsert } from './insert-many';
export { listJsonColumns } from './json-columns';
export { type SetAside } from './set-aside-impossible';
export { dataFolder, reopenTheBench, theBench } from './the-bench';
export { allOrNothing } from './all-or-nothing';
export {
  ASSUMED_MATE_U_MM,
  correctedMm,
  featureIdOf,
  featureKey,
  instrumentOf,
  isAtPlate,
  kindColumns,
  kindOf,
  LEAST_HEIGHT_MM,
  placeOnPlate,
  limitState,
  printedKey,
  printKey,
  runKey,
  targetOf,
  unknownWarmth,
  warmthUOf,
} from './rows';
export { evidenceChanged } from './evidence-changed';
export { rememberPrinted } from './remember-printed';
export type { DeviceCard, Fact, GateAnswer, ToldFinding } from './schema';
export * as tables from './schema';
export * as queries from './queries';
