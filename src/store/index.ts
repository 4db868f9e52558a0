export { benchDb, closeBenchDb, type Connection, databaseFile, dataFolder, type Db, openDb } from './client';
export { allOrNothing } from './all-or-nothing';
export {
  ASSUMED_MATE_U_MM,
  correctedMm,
  featureKey,
  instrumentOf,
  isAtPlate,
  kindColumns,
  kindOf,
  printKey,
  targetOf,
} from './rows';
export { evidenceChanged } from './evidence';
export type { Fact, ToldFinding } from './schema';
export * as tables from './schema';
export * as queries from './queries';
