/** Makes the demo bench in the data folder, if there is none yet. Usage: MELLOW_DATA=folder tsx src/demo/run.ts */
import { existsSync, mkdirSync } from 'node:fs';
import { databaseFile, dataFolder, openDb } from '@/store';
import { makeDemo } from './make-demo';
import { makeDemoParts } from './parts';

mkdirSync(dataFolder(), { recursive: true });

if (!existsSync(databaseFile())) {
  const db = openDb(databaseFile());
  makeDemo(db);
  await makeDemoParts(db, dataFolder());
  db.$client.close();
}
