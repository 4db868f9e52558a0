export { benchDb, closeBenchDb, databaseFile, dataFolder, openDb, type Db } from './client';
export * as tables from './schema';
export * as queries from './queries';
